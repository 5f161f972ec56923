<script setup lang="ts">
/** What the set covers, as a table: errors or skills down, problems across; gaps are named. */
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'
import { errorsCovered, skillsCovered } from './coverage'

const props = defineProps<{
  /** What is known of each problem, in order. */
  facts: (Schemas['Facts'] | undefined)[]
}>()

const kind = ref<'errors' | 'skills'>('errors')
const rows = computed(() =>
  kind.value === 'errors' ? errorsCovered(props.facts) : skillsCovered(props.facts),
)
</script>

<template>
  <section class="coverage">
    <header>
      <h2>{{ words.sets.coverage }}</h2>
      <el-radio-group v-model="kind" :aria-label="words.sets.coverage">
        <el-radio v-for="name in ['errors', 'skills'] as const" :key="name" :value="name">
          {{ words.sets.coverageOf[name] }}
        </el-radio>
      </el-radio-group>
    </header>
    <p class="u-quiet">
      {{ kind === 'errors' ? words.sets.coverageSays : words.sets.coverageSkills }}
    </p>
    <p v-if="!rows.length" class="u-quiet">{{ words.sets.coversNone }}</p>
    <div v-else class="scroll" tabindex="0" role="region" :aria-label="words.sets.coverage">
      <table>
        <thead>
          <tr>
            <th scope="col">{{ words.sets.coverageOf[kind] }}</th>
            <th v-for="(_, index) in facts" :key="index" scope="col">{{ index + 1 }}</th>
            <th scope="col">
              <span class="u-unseen">{{ words.sets.gaps }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.name">
            <th scope="row">{{ row.name }}</th>
            <td v-for="(cell, index) in row.cells" :key="index" :data-cell="cell || undefined">
              <span v-if="cell" class="u-unseen">{{ words.sets[cell] }}</span>
            </td>
            <td class="count">
              <b v-if="!row.count" class="u-warm">{{ words.sets.gap }}</b>
              <template v-else>{{ row.count }}</template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
header {
  display: flex;
  gap: var(--space-4);
  align-items: baseline;
}
.coverage {
  margin-top: var(--space-6);
  border-top: 1px solid var(--rule);
  padding-top: var(--space-4);
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  font-size: var(--type-note);
}
th {
  font-weight: 400;
  text-align: left;
  padding: var(--space-1) var(--space-2);
}
thead th {
  color: var(--quiet);
  text-align: center;
  min-width: 1.9rem;
}
thead th:first-child {
  text-align: left;
}
tbody tr {
  border-top: 1px solid var(--rule);
}
td {
  text-align: center;
  padding: 0;
}
td[data-cell]::before {
  content: '';
  display: inline-block;
  width: 0.72rem;
  height: 0.72rem;
  border-radius: 50%;
  border: 2px solid var(--ink);
  vertical-align: middle;
}
td[data-cell='revealed']::before,
td[data-cell='used']::before {
  background: var(--ink);
}
@media (forced-colors: active) {
  td[data-cell='revealed']::before,
  td[data-cell='used']::before {
    forced-color-adjust: none;
    background: CanvasText;
  }
}
.count {
  padding-left: var(--space-3);
}
</style>
