<script setup lang="ts">
/** A short slip to print: for each accepted correction the item, what was, and what it is. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import { words } from '@/texts/en'

const props = defineProps<{
  title: string
  items: Schemas['ProofItem'][]
  /** Places (from 0) of the accepted corrections. */
  accepted: number[]
}>()

const rows = computed(() =>
  props.accepted.flatMap((place) => {
    const item = props.items[place]
    if (!item) return []
    const was = item.lines?.map((line) => line.text) ?? []
    const is = item.status === 'no-answer' && item.answer ? [item.answer] : (item.correction ?? [])
    return [{ name: item.number || String(place + 1), given: item.given, was, is }]
  }),
)
</script>

<template>
  <section class="errata">
    <h1>{{ words.proofs.errataOf(title) }}</h1>
    <p v-if="!rows.length" class="u-quiet">{{ words.proofs.noErrata }}</p>
    <table v-else>
      <thead>
        <tr>
          <th scope="col">{{ words.proofs.item }}</th>
          <th scope="col">{{ words.proofs.problem }}</th>
          <th scope="col">{{ words.proofs.was }}</th>
          <th scope="col">{{ words.proofs.is }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.name">
          <th scope="row">{{ row.name }}</th>
          <td>{{ readable(row.given) }}</td>
          <td>
            <div v-for="(line, index) in row.was" :key="index">{{ readable(line) }}</div>
            <span v-if="!row.was.length">{{ words.proofs.nothingStood }}</span>
          </td>
          <td>
            <div v-for="(line, index) in row.is" :key="index">
              <b>{{ readable(line) }}</b>
            </div>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  border-bottom: 1px solid var(--rule);
  padding: var(--space-2) var(--space-4) var(--space-2) 0;
  text-align: left;
  vertical-align: top;
}
</style>
