<script setup lang="ts">
/** The forks of one line: side tracks that leave the spine, each with its stop and its end. */
import { ref } from 'vue'
import type { components } from '@/api/schema'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import { words } from '@/texts/en'
import Stop from './Stop.vue'

type Fork = components['schemas']['Fork']
type ForkLine = components['schemas']['LawLine']

const props = defineProps<{
  forks: Fork[]
  /** Whether the side tracks are open; closed, only their number is seen. */
  open: boolean
  /** Fetches the lines that carry a wrong line on; null when no method goes on. */
  carry: (fork: Fork) => Promise<ForkLine[] | null>
}>()
const emit = defineEmits<{ toggle: [] }>()

const carried = ref<string | null>(null)
const path = ref<ForkLine[] | null>(null)

async function show(fork: Fork): Promise<void> {
  if (carried.value === fork.wrong) {
    carried.value = null
    return
  }
  path.value = null
  carried.value = fork.wrong
  const found = await props.carry(fork)
  if (carried.value === fork.wrong) path.value = found
}
</script>

<template>
  <div class="forks">
    <button type="button" class="stub" :aria-expanded="open" @click="emit('toggle')">
      <span class="curve" aria-hidden="true" />
      {{ words.forks.leave(forks.length) }}
    </button>
    <ul v-if="open">
      <li v-for="fork in forks" :key="fork.error + fork.wrong" :data-hidden="fork.hidden">
        <span class="curve" aria-hidden="true" />
        <button
          type="button"
          class="row"
          :aria-expanded="carried === fork.wrong"
          @click="show(fork)"
        >
          <Stop :sign="fork.hidden ? '≈' : '≠'" :mark="fork.hidden ? 'doubt' : 'wrong'" />
          <span class="line"><MathText :latex="fork.wrong_latex" display /></span>
          <span class="words">
            <b>{{ [fork.name, ...(fork.also_names ?? [])].join(words.forks.or) }}</b>
            <span v-if="fork.crossed_out" class="end">{{ words.forks.crossedOut }}, </span>
            <span class="end">
              <template v-if="fork.hidden">{{ words.forks.hidden }}</template>
              <template v-else-if="fork.ends_in !== fork.wrong">
                {{ words.forks.ends }} <MathText :latex="fork.ends_in_latex" />
              </template>
              <template v-else>{{ words.forks.isEnd }}</template>
            </span>
          </span>
        </button>
        <div v-if="carried === fork.wrong" class="opened">
          <p>
            {{ fork.because }} <SentenceText :text="fork.counter" :pieces="fork.counter_parts" />
          </p>
          <p class="tell">{{ fork.says }}</p>
          <ol v-if="path?.length">
            <li v-for="line in path" :key="line.text">
              <Stop :sign="line.sides.sign" mark="parallel" />
              <MathText :latex="line.latex" :spoken="line.spoken" display />
              <SentenceText class="quiet" :text="line.says" :pieces="line.parts" />
            </li>
          </ol>
        </div>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.forks {
  /* number, left side, then the middle of the stop: where the spine runs */
  display: grid;
  grid-template-columns: var(--spine-columns);
  column-gap: 0.55rem;
  padding: 0 0.4rem;
  position: relative;
}
.forks > * {
  grid-column: 3 / 6;
}
.forks::before {
  content: '';
  grid-column: 3;
  grid-row: 1 / 3;
  justify-self: center;
  border-left: 2px solid var(--ink);
}
.stub,
ul {
  grid-column: 3 / 6;
  margin: 0;
  padding: 0;
}
.stub {
  grid-row: 1;
}
ul {
  grid-row: 2;
  list-style: none;
}
.stub,
.row {
  border: 0;
  background: none;
  font: inherit;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
.stub {
  position: relative;
  padding: 0.05rem 0 0.05rem 52px;
  font-size: 0.82rem;
  color: var(--leave);
}
ul > li {
  position: relative;
  padding-left: 40px;
}
.curve {
  position: absolute;
  left: 17px;
  top: -0.4rem;
  width: 24px;
  height: 1.9rem;
  border-left: 2px solid var(--leave-soft);
  border-bottom: 2px solid var(--leave-soft);
  border-bottom-left-radius: 20px;
}
.stub .curve {
  height: 1.15rem;
  width: 30px;
}
.row {
  display: grid;
  grid-template-columns: 36px minmax(6rem, 1fr) minmax(9rem, 1.1fr);
  gap: 0.6rem;
  align-items: center;
  width: 100%;
  padding: 0.12rem 0.3rem 0.12rem 0;
  border-radius: 6px;
}
.row:hover {
  background: var(--lit);
}
.row .line {
  overflow-x: auto;
  overflow-y: hidden;
  padding: 0.15rem 0;
}
.words {
  font-size: 0.86rem;
  line-height: 1.3;
}
.words b {
  color: var(--leave);
  display: block;
}
[data-hidden='true'] .words b {
  color: var(--ink);
}
.end {
  color: var(--quiet);
}
.opened {
  margin: 0 0 0.6rem 17px;
  padding-left: 1.8rem;
  border-left: 2px dotted var(--leave-soft);
  font-size: 0.9rem;
}
.opened p {
  margin: 0.1rem 0 0.3rem;
}
.opened ol {
  list-style: none;
  margin: 0 0 0 calc(-1.8rem - 19px);
  padding: 0;
}
.opened ol li {
  display: grid;
  grid-template-columns: 36px auto minmax(0, 1fr);
  gap: 0.6rem;
  align-items: center;
}
@media print {
  .stub {
    display: none;
  }
}
</style>
