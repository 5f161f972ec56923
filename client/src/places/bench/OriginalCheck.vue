<script setup lang="ts">
/** At the foot of the bench: the answer held against the given, candidate by candidate. */
import type { Schemas } from '@/api/client'
import CandidateCheck from '@/spine/CandidateCheck.vue'
import { words } from '@/texts/en'

defineProps<{
  /** The judged paper; null while there is nothing to judge. */
  checked: Schemas['Checked'] | null
  /** Whether the task is to solve an equation. */
  isEquation: boolean
}>()

function readable(values: string[]): string {
  return values.join(', ').replace(/-/g, '−')
}
</script>

<template>
  <section class="original" :aria-label="words.bench.original">
    <div class="head">
      <h2>{{ words.bench.original }}</h2>
      <span class="quiet">{{ words.bench.originalSays }}</span>
    </div>
    <div class="body">
      <template v-if="checked?.checks?.length">
        <CandidateCheck v-for="check in checked.checks" :key="check.value" :check="check" />
      </template>
      <span v-else-if="!isEquation && checked?.lines.length" class="answer">
        {{ checked.answer.right ? words.bench.answerRight : words.bench.answerWrong }}
      </span>
      <span v-else-if="checked?.answer.right && checked.answer.finished" class="answer">
        {{ words.bench.answerRight }}
      </span>
      <span v-else class="quiet">
        {{ isEquation ? words.bench.noCandidate : words.bench.noCheckHere }}
      </span>
      <span v-if="checked?.answer.finished && checked.answer.missing.length" class="warm">
        {{ words.bench.missing }}: {{ readable(checked.answer.missing) }}
      </span>
    </div>
  </section>
</template>

<style scoped>
.original {
  border-top: 1px solid var(--rule);
  background: var(--sheet);
  padding: 0.7rem 1.5rem;
  display: grid;
  grid-template-columns: 9rem 1fr;
  gap: 1rem;
  min-height: 5.4rem;
  align-items: start;
}
.head {
  display: grid;
}
.body {
  display: flex;
  flex-wrap: wrap;
  gap: 0.6rem 2.4rem;
  align-items: center;
}
.answer {
  font-weight: 700;
}
.warm {
  color: var(--leave);
  font-weight: 700;
}
</style>
