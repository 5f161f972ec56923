<script setup lang="ts">
/** At the foot of the bench: the answer held against the given, candidate by candidate. */
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import MathText from '@/shared/math/MathText.vue'
import CandidateCheck from '@/spine/CandidateCheck.vue'
import { words } from '@/texts/en'
import type { Content } from '@/example/content'
import { readable } from '@/shared/logic/readable'

const props = defineProps<{
  /** The judged paper; null while there is nothing to judge. */
  checked: Schemas['Checked'] | null
  content: Content
  /** Whether the work is said to be at its end: it is asked then whether it is finished. */
  ended: boolean
  /** Whether it folds away: there is little room. */
  folds: boolean
}>()

/** Unfolded, where it folds. */
const open = ref(false)
const isEquation = computed(() => props.content.task === 'solve')
/** Solutions that the answer lacks and that are not put in above. */
const missing = computed(() => {
  const shown = (props.checked?.checks ?? []).map((check) => check.value)
  return (props.checked?.answer.missing ?? []).filter((solution) => !shown.includes(solution))
})
const verdict = computed(() => {
  if (!props.checked?.lines.length) return ''
  const { right, finished } = props.checked.answer
  if (props.content.task === 'study')
    return right ? words.bench.featureRight : words.bench.featureWrong
  if (isEquation.value) return right && finished ? words.bench.answerRight : ''
  if (!right)
    return props.content.task === 'domain' ? words.bench.domainWrong : words.bench.answerWrong
  if (finished) return words.bench.answerRight
  return props.ended ? words.bench.answerOpen : words.bench.answerSoFar
})
</script>

<template>
  <section
    class="original"
    :class="{ folded: folds && !open }"
    :aria-label="isEquation ? words.bench.original : words.bench.answer"
  >
    <div class="head">
      <h2>{{ isEquation ? words.bench.original : words.bench.answer }}</h2>
      <span v-if="isEquation && !folds" class="u-quiet">{{ words.bench.originalSays }}</span>
      <el-button v-if="folds" link type="primary" :aria-expanded="open" @click="open = !open">
        {{ open ? words.bench.fold : words.bench.unfold }}
      </el-button>
      <slot />
    </div>
    <div class="body">
      <template v-if="folds && !open && checked?.checks?.length">
        <span v-for="check in checked.checks" :key="check.value">
          <MathText :latex="check.value_latex" />
          {{ check.missing ? words.bench.missing : check.says }}
        </span>
      </template>
      <template v-else-if="checked?.checks?.length">
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
  min-height: 5.4rem;
  align-items: start;
}
.head {
  display: grid;
}
.original.folded {
  min-height: 0;
}
@media (max-width: 900px), (max-height: 560px) {
  .original {
    grid-template-columns: minmax(0, 1fr);
    gap: var(--space-2);
    min-height: 0;
    padding: var(--space-2) var(--space-4);
  }
  .original.folded {
    display: flex;
    align-items: center;
  }
  .folded .body {
    order: -1;
    flex: 1;
  }
  .head {
    display: flex;
    flex-wrap: wrap;
    align-items: center;
    gap: var(--space-2) var(--space-4);
  }
  .head h2 {
    margin: 0;
  }
  .head > :last-child {
    margin-left: auto;
  }
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
