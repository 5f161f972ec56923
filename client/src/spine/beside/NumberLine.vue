<script setup lang="ts">
/** A number line: what belongs is thick, points that do not belong are open. In order, not to scale. */
import { computed } from 'vue'
import type { components } from '@/api/schema'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The numbers that are marked, from left to right. */
  marks: readonly components['schemas']['NumberMark'][]
  /** What belongs between them: one more than marks. */
  stretches: readonly components['schemas']['LineStretch'][]
}>()

const WIDTH = 100
const at = (index: number) => (WIDTH * (index + 1)) / (props.marks.length + 1)
const pieces = computed(() =>
  props.stretches.map(({ belongs }, index) => ({
    belongs,
    from: index ? at(index - 1) : 1,
    to: index < props.marks.length ? at(index) : WIDTH - 1,
  })),
)
</script>

<template>
  <div class="number-line">
    <svg viewBox="0 0 100 10" preserveAspectRatio="none" aria-hidden="true">
      <line
        v-for="(piece, index) in pieces"
        :key="index"
        :x1="piece.from"
        :x2="piece.to"
        y1="5"
        y2="5"
        :class="{ belongs: piece.belongs }"
        vector-effect="non-scaling-stroke"
      />
    </svg>
    <span
      v-for="(mark, index) in marks"
      :key="index"
      class="mark"
      :class="{ open: mark.is_open }"
      :style="{ left: `${at(index)}%` }"
    >
      <span class="point" />
      <MathText
        :latex="mark.math.latex"
        :spoken="words.sideWork.point(mark.math.spoken, mark.is_open)"
      />
    </span>
  </div>
</template>

<style scoped>
.number-line {
  position: relative;
  min-height: 3.2em;
  max-width: 26em;
}
svg {
  width: 100%;
  height: 1.2em;
  display: block;
}
line {
  stroke: var(--edge);
  stroke-width: 1.5;
}
line.belongs {
  stroke: var(--hand);
  stroke-width: 5;
}
.mark {
  position: absolute;
  top: 0.6em;
  transform: translateX(-50%);
  display: grid;
  justify-items: center;
}
.point {
  width: 0.8em;
  height: 0.8em;
  margin-top: -0.4em;
  border: 0.14em solid var(--hand);
  border-radius: 50%;
  background: var(--hand);
}
.open .point {
  background: var(--sheet);
}
</style>
