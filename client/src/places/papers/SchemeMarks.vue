<script setup lang="ts">
/** The marks of a scheme: what each is for and worth; some taken out, some brought back. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'

type Mark = Schemas['SchemeMark']
const marks = defineModel<Mark[]>({ required: true })
defineProps<{
  /** Marks that are made and not among these. */
  missing: Mark[]
}>()
const total = computed(() => marks.value.reduce((sum, { worth }) => sum + Math.max(0, worth), 0))

function change(key: string, now: Partial<Mark>): void {
  marks.value = marks.value.map((mark) => (mark.key === key ? { ...mark, ...now } : mark))
}
</script>

<template>
  <table>
    <thead>
      <tr>
        <th scope="col">{{ words.scheme.worth }}</th>
        <th scope="col" colspan="3">{{ words.scheme.says }}</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="mark in marks" :key="mark.key">
        <td>
          <el-input-number
            size="small"
            :controls="false"
            :model-value="mark.worth"
            :min="mark.worth < 0 ? -100 : 0"
            :max="mark.worth < 0 ? 0 : 100"
            :aria-label="`${words.scheme.worth}: ${mark.says}`"
            @change="(now: number | undefined) => change(mark.key, { worth: now ?? 0 })"
          />
        </td>
        <td>
          <el-input
            size="small"
            maxlength="200"
            :model-value="mark.says"
            :aria-label="words.scheme.says"
            @update:model-value="(says: string) => change(mark.key, { says })"
          />
        </td>
        <td class="u-quiet">
          {{ mark.worth < 0 ? words.scheme.off : words.scheme.kinds[mark.kind] }}
        </td>
        <td>
          <el-button
            size="small"
            link
            type="primary"
            :aria-label="words.scheme.remove(mark.says)"
            :title="words.scheme.remove(mark.says)"
            @click="marks = marks.filter(({ key }) => key !== mark.key)"
            >×</el-button
          >
        </td>
      </tr>
    </tbody>
  </table>
  <p>
    <b>{{ words.scheme.total(total) }}</b>
  </p>
  <p v-for="mark in missing" :key="mark.key">
    <el-button size="small" @click="marks = [...marks, { ...mark }]">
      {{ words.scheme.bring }}
    </el-button>
    <span class="u-quiet"> {{ mark.says }}</span>
  </p>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th {
  text-align: left;
  font-weight: 500;
  color: var(--quiet);
}
td,
th {
  padding: var(--space-1) var(--space-2) var(--space-1) 0;
}
.el-input-number {
  width: 3.5rem;
}
td:nth-child(2) {
  width: 100%;
}
td:nth-child(3) {
  white-space: nowrap;
}
</style>
