<script setup lang="ts">
/** Beside the board: what the class is asked, side work, or a fork that somebody opened, and why it leaves the line. */
import type { Schemas } from '@/api/client'
import ErrorContrast from '@/example/ErrorContrast.vue'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import SideWork from '@/spine/beside/SideWork.vue'
import Stop from '@/spine/Stop.vue'
import { words } from '@/texts/en'

defineProps<{
  /** '' where nothing is asked. */
  question: string
  fork: Schemas['Fork'] | null
  /** Whether the fork is struck: it is said why. */
  struck: boolean
  /** Side work that is shown. */
  work: Schemas['SideWork'] | null
}>()
</script>

<template>
  <div v-if="question" class="asked">
    <div class="aside">
      <Stop sign="?" mark="unproved" />
      <p>{{ question }}</p>
    </div>
  </div>
  <div v-if="work" class="asked work">
    <div class="aside"><span /><SideWork :work="work" /></div>
  </div>
  <div v-if="fork" class="fork" :data-struck="struck">
    <span class="curve" aria-hidden="true" />
    <div class="aside">
      <!-- undecided until it is struck: nothing is given away -->
      <Stop :sign="struck ? '≠' : '?'" :mark="struck ? 'wrong' : 'unproved'" />
      <div>
        <span class="wrong"><MathText :latex="fork.wrong_latex" display /></span>
        <p v-if="struck" class="why">
          <b>{{ fork.name }}.</b> {{ fork.because }}
          <SentenceText :text="fork.counter" :pieces="fork.counter_parts" />
        </p>
        <p v-else class="why">{{ words.show.isIt }}</p>
        <div v-if="struck" class="why"><ErrorContrast :error="fork.error" /></div>
      </div>
    </div>
  </div>
</template>

<style scoped>
/* the same columns as a line, so that a fork leaves the spine itself */
.asked,
.fork {
  position: relative;
  display: grid;
  grid-template-columns: var(--spine-columns);
  column-gap: var(--space-3);
  padding: var(--space-3) var(--space-2);
}
.aside {
  grid-column: 4 / 6;
  display: grid;
  grid-template-columns: var(--spine-width) minmax(0, 1fr);
  gap: var(--space-3);
  align-items: start;
  padding-left: var(--space-2);
}
.asked p {
  margin: 0.2em 0 0;
  font-size: max(2.2vw, 1.4rem);
  font-style: italic;
}
.work {
  font-size: max(2.2vw, 1.4rem);
}
.work :deep(figcaption) {
  font-size: 1em;
}
.curve {
  grid-column: 3;
  grid-row: 1;
  margin: -0.6rem calc(-0.35 * var(--spine-width)) 0 calc(50% - 1px);
  height: calc(0.6rem + var(--spine-width) / 2);
  border: 0 dashed var(--ink);
  border-width: 0 0 3px 3px;
  border-bottom-left-radius: 24px;
}
[data-struck='true'] .curve {
  border-style: solid;
  border-color: var(--leave-soft);
}
.aside {
  grid-row: 1;
}
.why {
  font-size: max(2.2vw, 1.4rem);
  line-height: 1.25;
  margin: var(--space-2) 0 0;
}
.why b {
  color: var(--leave);
}
[data-struck='true'] .wrong {
  background: linear-gradient(var(--leave), var(--leave)) no-repeat 0 55% / 100% 3px;
}
</style>
