<script setup lang="ts">
/** At the foot of the bench: the answer held against the given, candidate by candidate. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import CandidateCheck from '@/spine/CandidateCheck.vue'
import { words } from '@/texts/en'
import { readable } from '@/shared/logic/readable'

const props = defineProps<{
  /** The judged paper; null while there is nothing to judge. */
  checked: Schemas['Checked'] | null
  task: Schemas['ProblemIn']['task']
}>()

const isEquation = computed(() => props.task === 'solve')
/** Solutions that the answer lacks and that are not put in above. */
const missing = computed(() => {
  const shown = (props.checked?.checks ?? []).map((check) => check.value)
  return (props.checked?.answer.missing ?? []).filter((solution) => !shown.includes(solution))
})
const verdict = computed(() => {
  if (!props.checked?.lines.length) return ''
  const { right, finished } = props.checked.answer
  if (props.task === 'study') return right ? words.bench.featureRight : words.bench.featureWrong
  if (isEquation.value) return right && finished ? words.bench.answerRight : ''
  if (!right) return props.task === 'domain' ? words.bench.domainWrong : words.bench.answerWrong
  return finished ? words.bench.answerRight : words.bench.answerOpen
})
</script>

<template>
  <section class="original" :aria-label="isEquation ? words.bench.original : words.bench.answer">
    <div class="head">
      <h2>{{ isEquation ? words.bench.original : words.bench.answer }}</h2>
      <span v-if="isEquation" class="u-quiet">{{ words.bench.originalSays }}</span>
    </div>
    <div class="body">
      <template v-if="checked?.checks?.length">
        <CandidateCheck v-for="check in checked.checks" :key="check.value" :check="check" />
      </template>
      <span v-else-if="verdict" class="answer">{{ verdict }}</span>
      <span v-else class="u-quiet">
        {{ isEquation ? words.bench.noCandidate : words.bench.noAnswerYet }}
      </span>
      <span v-if="checked?.answer.finished && missing.length" class="u-warm">
        {{ words.bench.missing }}: {{ missing.map(readable).join(', ') }}
      </span>
    </div>
  </section>
</template>

<style scoped>
.original {
  border-top: 1px solid var(--rule);
  background: var(--sheet);
  padding: var(--space-3) var(--space-6);
  display: grid;
  grid-template-columns: 9rem 1fr;
  gap: var(--space-4);
  min-height: 6.2rem;
  align-items: start;
}
.head {
  display: grid;
}
.body {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-7);
  align-items: center;
}
.answer {
  font-weight: 700;
}
.u-warm {
  color: var(--leave);
  font-weight: 700;
}
</style>
