<script setup lang="ts">
/** Full window for the class: lines revealed by key, the next one asked for, forks opened and struck. */
import { computed, nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { writtenStops } from '@/example/stops'
import { toggleTheme } from '@/shared/composables/theme'
import { useKeys } from '@/shared/composables/useKeys'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import SpineLine from '@/spine/SpineLine.vue'
import Stop from '@/spine/Stop.vue'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'
import { ask, back, fork, next, START } from './reveal'
import { useExample } from './useExample'

const props = defineProps<{
  /** The example's id. */
  id: string
}>()

const router = useRouter()
const { example, told, checked, forks, refusal, load } = useExample(() => props.id)
const now = ref(START)
const lights = ref(true)
const says = ref(true)
const helps = ref(false)
const current = ref<HTMLElement | null>(null)

const count = computed(() => Math.max(0, told.value.length - 1))
const here = computed(() => forks.value.filter((item) => item.after === now.value.shown))
const open = computed(() => (now.value.fork ? here.value[now.value.fork.index] : null))
const question = computed(() => told.value[now.value.shown + 1]?.ask || words.show.ask)

const stops = computed<StopLine[]>(() => {
  const given = told.value[0]
  if (!given || !checked.value) return []
  const all = writtenStops(checked.value.lines, example.value?.reasons)
  const written = all.slice(0, now.value.shown)
  const first: StopLine = {
    number: 0,
    text: given.text,
    mark: 'given',
    sides: given.sides ?? null,
    spoken: given.spoken ?? given.text,
    words: '',
  }
  return [first, ...written].map((stop, index, all) => ({
    ...stop,
    words: says.value ? stop.words : '',
    pieces: says.value ? stop.pieces : [],
    sides:
      lights.value && index && index === all.length - 1
        ? (told.value[index]?.lit ?? stop.sides)
        : stop.sides,
  }))
})

watch(now, () => void nextTick(() => current.value?.scrollIntoView({ block: 'center' })))

function leave(): void {
  void router.push({ name: 'bench', params: { id: props.id } })
}
function forward(): void {
  now.value = next(now.value, count.value)
}
function backward(): void {
  now.value = back(now.value)
}

useKeys({
  ArrowRight: forward,
  ArrowDown: forward,
  PageDown: forward,
  ' ': forward,
  ArrowLeft: backward,
  ArrowUp: backward,
  PageUp: backward,
  Home: () => (now.value = START),
  End: () => (now.value = { ...START, shown: count.value }),
  P: () => (now.value = ask(now.value, count.value)),
  F: () => (now.value = fork(now.value, here.value.length)),
  S: () => (lights.value = !lights.value),
  W: () => (says.value = !says.value),
  T: toggleTheme,
  H: () => (helps.value = !helps.value),
  Escape: leave,
})
</script>

<template>
  <main class="show">
    <header class="bar">
      <button type="button" class="quiet-button" @click="leave">{{ words.show.leave }}</button>
      <h1>{{ example?.title || words.bench.untitled }}</h1>
      <span class="gap" />
      <span class="count" role="status">{{ words.show.count(now.shown, count) }}</span>
      <button type="button" class="quiet-button" :aria-expanded="helps" @click="helps = !helps">
        {{ words.show.keys }}
      </button>
      <router-link :to="{ name: 'track', params: { id } }">{{ words.show.track }}</router-link>
    </header>
    <ul v-if="helps" class="helps">
      <li v-for="[key, does] in words.show.keyList" :key="key">
        <kbd>{{ key }}</kbd> {{ does }}
      </li>
    </ul>
    <p v-if="refusal" role="alert" class="warm refusal">
      {{ refusal }} <el-button @click="load">{{ words.show.again }}</el-button>
    </p>
    <div class="board spine" :class="{ hanging: !stops[0]?.sides?.left }" aria-live="polite">
      <div
        v-for="(stop, index) in stops"
        :key="index"
        :ref="(el) => index === stops.length - 1 && (current = el as HTMLElement)"
      >
        <SpineLine :line="stop" />
      </div>
      <div v-if="now.asking" class="asked">
        <div class="aside">
          <Stop sign="?" mark="unproved" />
          <p>{{ question }}</p>
        </div>
      </div>
      <div v-if="open" class="fork" :data-struck="now.fork?.struck">
        <span class="curve" aria-hidden="true" />
        <div class="aside">
          <Stop sign="≠" mark="wrong" />
          <div>
            <span class="wrong"><MathText :latex="open.wrong_latex" display /></span>
            <p v-if="now.fork?.struck" class="why">
              <b>{{ open.name }}.</b> {{ open.because }}
              <SentenceText :text="open.counter" :pieces="open.counter_parts" />
            </p>
            <p v-else class="why">{{ words.show.isIt }}</p>
          </div>
        </div>
      </div>
      <p v-if="count === 0 && told.length" class="quiet">{{ words.show.noLines }}</p>
    </div>
    <nav class="steps no-print" :aria-label="words.show.keys">
      <el-button :disabled="!now.shown && !now.fork && !now.asking" @click="backward">
        {{ words.show.back }}
      </el-button>
      <el-button :disabled="now.shown >= count" @click="now = ask(now, count)">
        {{ words.show.predict }}
      </el-button>
      <el-button :disabled="!here.length" @click="now = fork(now, here.length)">
        {{ now.fork && !now.fork.struck ? words.show.strike : words.show.fork }}
      </el-button>
      <el-button type="primary" :disabled="now.shown >= count" @click="forward">
        {{ words.show.next }}
      </el-button>
    </nav>
  </main>
</template>

<style scoped>
.show {
  height: 100vh;
  display: grid;
  grid-template-rows: auto auto minmax(0, 1fr) auto;
  background: var(--paper);
}
.bar {
  display: flex;
  align-items: baseline;
  gap: 1.2rem;
  padding: 0.5rem 1.5rem;
  font-size: 0.95rem;
  border-bottom: 1px solid var(--rule);
}
.bar h1 {
  margin: 0;
  font-size: 1.05rem;
}
.count {
  color: var(--quiet);
}
.helps {
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1.4rem;
  list-style: none;
  margin: 0;
  padding: 0.5rem 1.5rem;
  background: var(--sheet);
  border-bottom: 1px solid var(--rule);
  font-size: 0.9rem;
}
kbd {
  border: 1px solid var(--edge);
  border-radius: 3px;
  padding: 0 0.35rem;
  font: inherit;
}
.refusal {
  padding: 0 1.5rem;
}
.board {
  grid-row: 3;
  overflow-y: auto;
  font-size: clamp(1.3rem, 2.5vw, 2.6rem);
  padding: 1.5rem 4vw 40vh;
  --spine-columns: 1.6rem minmax(0, 1fr) 48px minmax(0, 1.1fr) minmax(8rem, 0.75fr);
}
.board.hanging {
  --spine-columns: 1.6rem 3rem 48px minmax(0, 2.4fr) minmax(8rem, 0.9fr);
}
.board :deep(.line) {
  min-height: 2.1em;
}
.board :deep(.words) {
  font-size: 0.5em;
}
.board :deep(.stop) {
  width: 48px;
  height: 48px;
}
.board :deep(.left),
.board :deep(.right) {
  padding: 0.15em;
}
/* the same columns as a line, so that a fork leaves the spine itself */
.asked,
.fork {
  position: relative;
  display: grid;
  grid-template-columns: var(--spine-columns);
  column-gap: 0.55rem;
  padding: 0.6rem 0.4rem;
}
.aside {
  grid-column: 4 / 6;
  display: grid;
  grid-template-columns: 48px minmax(0, 1fr);
  gap: 0.6rem;
  align-items: start;
  padding-left: 0.5rem;
}
.asked p {
  margin: 0.2em 0 0;
  font-size: 0.75em;
  font-style: italic;
}
.curve {
  grid-column: 3;
  grid-row: 1;
  margin: -0.6rem -1.1rem 0 calc(50% - 1px);
  height: calc(0.6rem + 26px);
  border-left: 3px solid var(--leave-soft);
  border-bottom: 3px solid var(--leave-soft);
  border-bottom-left-radius: 24px;
}
.aside {
  grid-row: 1;
}
.why {
  font-size: 0.5em;
  margin: 0.4rem 0 0;
  max-width: 34em;
}
.why b {
  color: var(--leave);
}
[data-struck='true'] .wrong {
  background: linear-gradient(var(--leave), var(--leave)) no-repeat 0 55% / 100% 3px;
}
.steps {
  grid-row: 4;
  display: flex;
  justify-content: center;
  gap: 0.6rem;
  padding: 0.6rem;
  border-top: 1px solid var(--rule);
}
.steps .el-button + .el-button {
  margin-left: 0;
}
</style>
