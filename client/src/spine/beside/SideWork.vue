<script setup lang="ts">
/** Side work beside a line: a small table, a number line or a balance, with what it says above it. */
import type { components } from '@/api/schema'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import BalancePans from './BalancePans.vue'
import NumberLine from './NumberLine.vue'

defineProps<{ work: components['schemas']['SideWork'] }>()
</script>

<template>
  <figure class="side-work" :data-kind="work.kind">
    <figcaption><SentenceText :text="work.says" :pieces="work.parts" /></figcaption>
    <NumberLine v-if="work.stretches" :marks="work.marks ?? []" :stretches="work.stretches" />
    <BalancePans
      v-else-if="work.left && work.right"
      :left="work.left.weights"
      :right="work.right.weights"
      :tilt="work.tilt ?? 0"
      :off="work.off ?? null"
      :sign="work.off_sign ?? ''"
    />
    <table v-else>
      <tbody>
        <tr v-for="(row, at) in work.rows" :key="at">
          <component
            :is="cell.mark === 'head' ? 'th' : 'td'"
            v-for="(cell, index) in row"
            :key="index"
            :data-mark="cell.mark || undefined"
          >
            <span>
              {{ cell.text }}
              <MathText v-if="cell.math" :latex="cell.math.latex" :spoken="cell.math.spoken" />
            </span>
          </component>
        </tr>
      </tbody>
    </table>
  </figure>
</template>

<style scoped src="./side-work.css"></style>
