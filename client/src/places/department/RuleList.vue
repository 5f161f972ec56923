<script setup lang="ts">
/** A colleague's house rules, as the house names them. */
import { computed } from 'vue'
import { methodName } from '@/shared/logic/readable'
import { words } from '@/texts/en'

const props = defineProps<{ rules: Record<string, unknown> }>()

interface Question {
  title: string
  choices: Readonly<Record<string, string>>
}

const { house } = words
const QUESTIONS: Record<string, Question> = {
  juxtaposition: {
    title: house.juxtaposition,
    choices: { equal: house.equal, tighter: house.tighter },
  },
  decimal: { title: house.decimal, choices: { point: house.point, comma: house.comma } },
  density: {
    title: house.density,
    choices: { fine: house.fine, board: house.board, key: house.key },
  },
  radicals: {
    title: house.radicals,
    choices: { any: house.anyLetter, 'non-negative': house.nonNegative },
  },
  spelling: { title: house.spelling, choices: house.spellings },
  ...house.conventions,
}

const rows = computed(() => {
  const methods = (props.rules['methods'] as string[] | undefined) ?? []
  return [
    ...Object.entries(QUESTIONS).map(([key, question]) => ({
      title: question.title,
      says: question.choices[String(props.rules[key])] ?? '',
    })),
    { title: house.taught, says: methods.map(methodName).join(', ') || house.noneTaught },
  ].filter((row) => row.says)
})
</script>

<template>
  <dl>
    <template v-for="row in rows" :key="row.title">
      <dt class="u-quiet">{{ row.title }}</dt>
      <dd>{{ row.says }}</dd>
    </template>
  </dl>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: var(--space-2) var(--space-5);
}
dd {
  margin: 0;
}
</style>
