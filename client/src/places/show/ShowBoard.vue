<script setup lang="ts">
/** The board of one example, in the full window: lines by key, the next one asked for, forks opened and struck. */
import { computed, nextTick, ref, watch } from 'vue'
import type { Schemas } from '@/api/client'
import { useRoomLight } from '@/shared/composables/theme'
import { useKeys, type Keys } from '@/shared/composables/useKeys'
import WaitFor from '@/shared/page/WaitFor.vue'
import SpineLine from '@/spine/SpineLine.vue'
import { words } from '@/texts/en'
import BoardSteps from './BoardSteps.vue'
import { boardKeys } from './boardKeys'
import HowItIsTold from './HowItIsTold.vue'
import ShowAside from './ShowAside.vue'
import { START } from './reveal'
import { SCRIPTS, type Script } from './script'
import { useBoard } from './useBoard'
import { useExample } from './useExample'

const props = defineProps<{
  /** The example's id. */
  id: string
  /** Keys of the place around it. */
  keys?: Keys
  /** Whether something lies over the board that has the keys. */
  covered?: boolean
  /** Whether an example without lines is shown as it is worked. */
  works?: boolean
}>()
const emit = defineEmits<{
  leave: []
  /** How far it is shown. */
  shown: [lines: number, of: number]
  forked: [fork: Schemas['Fork']]
}>()

useRoomLight()
const theExample = useExample(() => props.id, props.works)
const { example, told, refusal, load } = theExample
const now = ref(START)
const lights = ref(true)
const says = ref(true)
const marks = ref(true)
const script = ref<Script>('lines')
const helps = ref(false)
const current = ref<HTMLElement | null>(null)

const board = useBoard(theExample, now, { lights, says, marks, script })
const { shares, stops, divided, question, vote, fit, open, struck, work, count } = board
watch(now, () => void nextTick(() => current.value?.scrollIntoView({ block: 'nearest' })))
watch(
  () => props.id,
  () => {
    now.value = START
    script.value = 'lines'
  },
)
/** What is scrolled to: the last line, or the one at which a story is struck. */
const newest = computed(() => {
  const left = struck.value ? stops.value.findIndex(({ mark: one }) => one === 'wrong') : -1
  return left < 0 ? stops.value.length - 1 : left
})
const isReady = computed(() => told.value.length > 0)
watch([() => now.value.shown, count, isReady], ([shown, of, ready]) => {
  if (ready) emit('shown', shown, of)
})
watch([open, struck], ([fork, told]) => {
  const seen = fork ?? told
  if (seen) emit('forked', seen)
})

/** Tell it in another order, from its start; a wrong story is there before anybody sees a line of it. */
async function tell(how: Script): Promise<void> {
  if (how === 'wrong' && !(await theExample.loadStory())) return
  script.value = how
  now.value = START
}
const canTell = (how: Script) =>
  how !== 'wrong' || theExample.forks.value.some((one) => !one.hidden)
const own: Keys = {
  ...boardKeys(now, board, { lights, says, marks, helps }),
  ...Object.fromEntries(SCRIPTS.map((how, index) => [String(index + 1), () => void tell(how)])),
  Escape: () => emit('leave'),
}
const uncovered: Keys = Object.fromEntries(
  Object.entries(own).map(([key, does]) => [key, (event) => props.covered || does(event)]),
)
useKeys({ ...uncovered, ...props.keys })
</script>

<template>
  <main id="main" class="show" tabindex="-1">
    <slot
      name="bar"
      :title="example?.title || words.bench.untitled"
      :shown="now.shown"
      :count="count"
      :helps="helps"
      :turn="() => (helps = !helps)"
    />
    <WaitFor :pending="!told.length" :failure="refusal" @again="load" />
    <div
      v-if="told.length"
      class="board u-spine"
      :style="{ '--fit': fit, ...shares }"
      :class="{ hanging: !stops[0]?.sides?.left }"
      tabindex="0"
      role="region"
      :aria-label="words.show.board"
      aria-live="polite"
    >
      <div
        v-for="(stop, index) in stops"
        :key="index"
        :ref="(el) => index === newest && (current = el as HTMLElement)"
      >
        <SpineLine :line="stop" :division="divided[index]" />
      </div>
      <ShowAside
        v-if="now.asking || vote || open || work"
        :question="vote || (now.asking ? question : '')"
        :fork="open"
        :struck="!!now.fork?.struck"
        :work="work"
      />
      <p v-if="count === 0 && told.length" class="u-quiet">{{ words.show.noLines }}</p>
    </div>
    <slot name="over" :open="open" />
    <nav class="steps no-print" :aria-label="words.show.keys">
      <slot name="before" />
      <HowItIsTold v-if="!now.shown" :script="script" :can-tell="canTell" @tell="tell" />
      <BoardSteps v-model:now="now" :board="board" :marks="marks" />
      <slot name="after" />
    </nav>
  </main>
</template>

<style scoped src="./show-place.css"></style>
