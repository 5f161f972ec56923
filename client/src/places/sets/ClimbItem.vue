<script setup lang="ts">
/** One problem on the climb: what it is, its marks and minutes, how hard it is. */
import { computed, useTemplateRef } from 'vue'
import { readable } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import type { Item, OpenSet } from './useSet'

const marks = defineModel<number | null>('marks')
const minutes = defineModel<number | null>('minutes')
const props = defineProps<{
  set: OpenSet
  item: Item
  /** Its place, from 0. */
  index: number
  /** Where it stands on the climb, in per cent. */
  across: number
  chosen: boolean
  /** Whether its marks and minutes are drawn already. */
  counts: boolean
}>()
defineEmits<{ choose: []; go: [index: number]; remove: []; drag: []; dropHere: [] }>()

const row = useTemplateRef<HTMLElement>('row')
defineExpose({ focus: () => row.value?.focus() })

const facts = computed(() => props.set.facts.value[props.item.example.id])
const waiting = computed(() => props.set.waiting.value[props.item.example.id])
const score = computed(() => props.set.steps.value[props.index]?.score ?? null)
const repeat = computed(() => props.set.repeats.value[props.index])
const COUNTS = [
  { name: 'marks', value: marks, most: 100 },
  { name: 'minutes', value: minutes, most: 600 },
] as const
</script>

<template>
  <li>
    <div
      ref="row"
      class="problem"
      role="button"
      tabindex="0"
      draggable="true"
      :aria-pressed="chosen"
      @click="$emit('choose')"
      @focus="$emit('choose')"
      @dragstart="$emit('drag')"
      @dragover.prevent
      @drop.prevent="$emit('dropHere')"
      @keydown.up.exact.prevent="$emit('go', index - 1)"
      @keydown.down.exact.prevent="$emit('go', index + 1)"
      @keydown.delete.prevent="$emit('remove')"
    >
      <span class="number">{{ index + 1 }}</span>
      <span class="given">
        <MathText v-if="facts?.reads" :latex="facts.reads.latex" :spoken="facts.reads.spoken" />
        <code v-else>{{ readable(item.example.given ?? '') }}</code>
        <small
          >{{ item.instruction || words.tasks[item.example.task] }} ·
          {{ item.example.title }}</small
        >
      </span>
    </div>
    <span class="counts">
      <el-input-number
        v-for="{ name, value, most } in counts ? COUNTS : []"
        :key="name"
        :model-value="value.value ?? undefined"
        size="small"
        :controls="false"
        :min="0"
        :max="most"
        :title="words.sets[name]"
        :aria-label="words.sets[name]"
        @update:model-value="(now: number | undefined) => (value.value = now ?? null)"
      />
    </span>
    <span class="height">
      <span class="dot" :style="{ left: `${across}%` }" :data-unknown="score === null">
        <b>{{ score ?? (waiting ? '…' : '?') }}</b>
      </span>
      <span class="said" :style="{ left: `${across}%` }" :data-right="across > 55">
        <template v-if="waiting">{{ words.sets.waiting[waiting] }}</template>
        <template v-else-if="facts && score === null">{{ words.sets.unknown }}</template>
        <b v-else-if="set.jumps.value.includes(index)">{{ words.sets.jump }}</b>
        <template v-else-if="score !== null">{{ words.sets.hard(score) }}</template>
        <small v-if="repeat">
          {{ (repeat.how === 'same' ? words.sets.same : words.sets.repeats)(repeat.of + 1) }}
        </small>
      </span>
    </span>
  </li>
</template>

<style scoped src="./climb-item.css"></style>
