<script setup lang="ts">
/** Codes × items: in each cell the stop where the paper left, and what it earned. */
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { useGrowing } from '@/shared/composables/useGrowing'
import MathText from '@/shared/math/MathText.vue'
import Stop from '@/spine/Stop.vue'
import type { Mark } from '@/spine/types'
import { words } from '@/texts/en'
import { columnsOf, type Grid, type Row } from './rows'

const props = defineProps<{ grid: Grid; rows: Row[] }>()
const by = defineModel<'code' | 'total'>('by', { required: true })
const router = useRouter()
const drawn = useGrowing(() => props.rows.length)
const columns = computed(() => columnsOf(props.grid))
const hasVersions = computed(() => props.grid.versions.length > 1)

function open(student: number, number: number): void {
  const params = { id: props.grid.id, student }
  void router.push({ name: 'paper', params, hash: `#item-${number}` })
}

/** Arrow keys go from code to code. */
function go(event: KeyboardEvent, down: boolean): void {
  const row = (event.currentTarget as HTMLElement).closest('tr')
  const next = down ? row?.nextElementSibling : row?.previousElementSibling
  next?.querySelector<HTMLElement>('a')?.focus()
}
</script>

<template>
  <div class="scroll" tabindex="0" role="region" :aria-label="grid.title">
    <table>
      <thead>
        <tr>
          <th scope="col" :aria-sort="by === 'code' ? 'ascending' : 'none'">
            <button type="button" @click="by = 'code'">{{ words.papers.code }}</button>
          </th>
          <th scope="col" :aria-sort="by === 'total' ? 'descending' : 'none'">
            <button type="button" @click="by = 'total'">{{ words.papers.total }}</button>
          </th>
          <th v-for="item in columns" :key="item.id" scope="col" :title="item.given">
            <router-link
              :to="{ name: 'item', params: { id: grid.id, number: item.number } }"
              :aria-label="words.papers.onSpine(item.number)"
              :title="words.papers.onSpine(item.number)"
              >{{ item.number }}</router-link
            >
            <MathText
              v-if="item.reads"
              class="problem"
              :latex="item.reads.latex"
              :spoken="item.reads.spoken"
            />
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows.slice(0, drawn)" :key="row.student.id">
          <th scope="row">
            <router-link
              :to="{ name: 'paper', params: { id: grid.id, student: row.student.id } }"
              :aria-label="words.papers.open(row.student.code)"
              @keydown.down.prevent="go($event, true)"
              @keydown.up.prevent="go($event, false)"
              >{{ row.student.code }}</router-link
            >
            <small v-if="hasVersions" class="u-quiet">{{ grid.had[row.student.id] }}</small>
          </th>
          <td class="total">
            <template v-if="row.total">{{ row.total.earned }} / {{ row.total.of }}</template>
          </td>
          <td
            v-for="(cell, index) in row.cells"
            :key="index"
            :title="cell?.error"
            @click="open(row.student.id, index + 1)"
          >
            <span v-if="cell" class="cell">
              <Stop class="small" sign="" :mark="(cell.stop || 'waiting') as Mark" />
              {{ cell.earned ?? words.papers.waiting }}
              <b v-if="cell.asks" :title="words.papers.ask">?</b>
              <i v-if="cell.overruled" :title="words.papers.overruled">*</i>
            </span>
            <span v-else class="u-quiet">{{ words.papers.blank }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped src="./mark-grid.css"></style>
