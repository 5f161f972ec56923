<script setup lang="ts">
/** The graph: branches, asymptotes dashed and named, holes open; the crossing of a shift form moves. */
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'
import PlotAsymptotes from './PlotAsymptotes.vue'
import PlotPaper from './PlotPaper.vue'
import { atX, atY, branchPath, placeAt, type Frame } from './plot'
import { valueOf, type Place } from './shift'
import type { FeatureName } from './useLights'

const place = defineModel<Place | null>('place', { required: true })
const props = defineProps<{
  studied: Schemas['Studied']
  /** What it was before it was moved, drawn faintly. */
  was: Schemas['Studied'] | null
  /** The shift form where there is one: its crossing can be moved. */
  movable: Schemas['Shift'] | null
  lit: FeatureName | null
  /** The features, read out. */
  spoken: string
}>()

const svg = ref<SVGSVGElement | null>(null)
/** The frame while the crossing is dragged: it stays where it was. */
const held = ref<Frame | null>(null)

function frameOf(window: Schemas['Window']): Frame {
  const [left = -8, right = 8] = window.x
  const [low = -8, high = 8] = window.y
  return { width: 380, height: 340, x: [left, right], y: [low, high] }
}
const frame = computed<Frame>(() => held.value ?? frameOf(props.studied.curve.window))
const crossing = computed<Place | null>(() => {
  if (!props.movable) return null
  return place.value ?? { h: valueOf(props.movable.h), k: valueOf(props.movable.k) }
})

function take(event: PointerEvent): void {
  ;(event.target as Element).setPointerCapture(event.pointerId)
  held.value = frame.value
}

function drag(event: PointerEvent): void {
  const box = svg.value?.getBoundingClientRect()
  if (!held.value || !box) return
  const { x, y } = placeAt(held.value, box, event.clientX, event.clientY)
  const next = { h: Math.round(x), k: Math.round(y) }
  if (next.h !== crossing.value?.h || next.k !== crossing.value?.k) place.value = next
}

function drop(): void {
  held.value = null
}

const marks = computed(() => {
  const found = props.studied.curve.marks
  const holes = found.holes.map(([x = 0, y = 0]) => ({ x, y }))
  return { ...found, holes }
})

function cross(x: number, y: number): string {
  return `M${x - 7} ${y}H${x + 7}M${x} ${y - 7}V${y + 7}`
}
</script>

<template>
  <svg
    ref="svg"
    :viewBox="`0 0 ${frame.width} ${frame.height}`"
    role="img"
    :data-lit="lit ?? undefined"
    :aria-label="`${words.study.graph}. ${spoken}`"
  >
    <PlotPaper :frame="frame" />
    <PlotAsymptotes :frame="frame" :studied="studied" />
    <template v-if="was">
      <path
        v-for="(branch, index) in was.curve.branches"
        :key="`w${index}`"
        class="branch was"
        :d="branchPath(frame, branch)"
      />
    </template>
    <path
      v-for="(branch, index) in studied.curve.branches"
      :key="index"
      class="branch"
      :d="branchPath(frame, branch)"
    />
    <g class="points">
      <circle
        v-for="x in marks.zeros"
        :key="`z${x}`"
        class="x-intercept"
        :cx="atX(frame, x)"
        :cy="atY(frame, 0)"
        r="3.6"
      />
      <circle
        v-if="marks.at_zero !== null"
        class="y-intercept"
        :cx="atX(frame, 0)"
        :cy="atY(frame, marks.at_zero)"
        r="3.6"
      />
      <circle
        v-for="hole in marks.holes"
        :key="`h${hole.x}`"
        class="hole"
        :cx="atX(frame, hole.x)"
        :cy="atY(frame, hole.y)"
        r="4.6"
      />
    </g>
    <g
      v-if="crossing"
      class="crossing"
      @pointerdown="take"
      @pointermove="drag"
      @pointerup="drop"
      @pointercancel="drop"
    >
      <title>{{ words.study.drag }}</title>
      <circle :cx="atX(frame, crossing.h)" :cy="atY(frame, crossing.k)" r="13" />
      <path :d="cross(atX(frame, crossing.h), atY(frame, crossing.k))" />
    </g>
  </svg>
</template>

<style scoped src="./function-plot.css"></style>
