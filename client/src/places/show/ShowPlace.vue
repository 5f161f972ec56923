<script setup lang="ts">
/** Full window for the class: lines revealed by key, the next one asked for, forks opened and struck. */
import { nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { toggleTheme, useRoomLight } from '@/shared/composables/theme'
import { useKeys } from '@/shared/composables/useKeys'
import WaitFor from '@/shared/page/WaitFor.vue'
import SpineLine from '@/spine/SpineLine.vue'
import { words } from '@/texts/en'
import ShowAside from './ShowAside.vue'
import ShowBar from './ShowBar.vue'
import { ask, back, fork, next, START } from './reveal'
import { useBoard } from './useBoard'
import { useExample } from './useExample'

const props = defineProps<{
  /** The example's id. */
  id: string
}>()

const router = useRouter()
useRoomLight()
const shown = useExample(() => props.id)
const { example, told, refusal, load } = shown
const now = ref(START)
const lights = ref(true)
const says = ref(true)
const helps = ref(false)
const current = ref<HTMLElement | null>(null)

const { stops, divided, question, fit, here, open, count } = useBoard(shown, now, lights, says)
watch(now, () => void nextTick(() => current.value?.scrollIntoView({ block: 'nearest' })))

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
  <main id="main" class="show" tabindex="-1">
    <ShowBar
      :id="id"
      :title="example?.title || words.bench.untitled"
      :shown="now.shown"
      :count="count"
      :helps="helps"
      @leave="leave"
      @helps="helps = !helps"
    />
    <WaitFor :pending="!told.length" :failure="refusal" @again="load" />
    <div
      v-if="told.length"
      class="board u-spine"
      :style="{ '--fit': fit }"
      :class="{ hanging: !stops[0]?.sides?.left }"
      tabindex="0"
      role="region"
      :aria-label="words.show.board"
      aria-live="polite"
    >
      <div
        v-for="(stop, index) in stops"
        :key="index"
        :ref="(el) => index === stops.length - 1 && (current = el as HTMLElement)"
      >
        <SpineLine :line="stop" :division="divided[index]" />
      </div>
      <ShowAside
        v-if="now.asking || open"
        :question="now.asking ? question : ''"
        :fork="open"
        :struck="!!now.fork?.struck"
      />
      <p v-if="count === 0 && told.length" class="u-quiet">{{ words.show.noLines }}</p>
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

<style scoped src="./show-place.css"></style>
