<script setup lang="ts">
/** The asymptotes of a graph, dashed, each with its equation. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import { atX, atY, type Frame } from './plot'

const props = defineProps<{
  frame: Frame
  studied: Schemas['Studied']
}>()
const marks = computed(() => {
  const found = props.studied.curve.marks
  const [slope = 0, height = 0] = found.oblique ?? []
  return { ...found, oblique: found.oblique ? { slope, height } : null }
})
const along = computed(() => {
  const line = marks.value.oblique
  return (x: number) => (line ? line.slope * x + line.height : 0)
})

function equation(text: string | null | undefined): string {
  return readable(text ?? '').replace('=', ' = ')
}

/** Whether the graph comes from above right of an asymptote: its name stands below then. */
function risesAfter(x: number): boolean {
  const after = props.studied.curve.branches.find((branch) => (branch[0]?.[0] ?? x) > x)
  return (after?.[0]?.[1] ?? 0) > 0
}
</script>

<template>
  <g class="asymptotes">
    <template v-for="(x, index) in marks.vertical" :key="x">
      <line class="vertical" :x1="atX(frame, x)" :x2="atX(frame, x)" y1="0" :y2="frame.height" />
      <text :x="atX(frame, x) + 4" :y="risesAfter(x) ? frame.height - 6 : 12">
        {{ equation(studied.features.vertical[index]) }}
      </text>
    </template>
    <template v-if="marks.horizontal !== null">
      <line
        class="horizontal"
        x1="0"
        :x2="frame.width"
        :y1="atY(frame, marks.horizontal)"
        :y2="atY(frame, marks.horizontal)"
      />
      <text x="4" :y="atY(frame, marks.horizontal) - 5">
        {{ equation(studied.features.horizontal) }}
      </text>
    </template>
    <template v-if="marks.oblique">
      <line
        class="oblique"
        x1="0"
        :x2="frame.width"
        :y1="atY(frame, along(frame.x[0]))"
        :y2="atY(frame, along(frame.x[1]))"
      />
      <text class="beside" :x="frame.width - 4" :y="atY(frame, along(frame.x[1] * 0.82)) - 8">
        {{ equation(studied.features.oblique) }}
      </text>
    </template>
  </g>
</template>

<style scoped>
text {
  font-size: 12px;
}
.asymptotes line {
  stroke: var(--ink);
  stroke-width: 1.2;
  stroke-dasharray: 6 5;
}
.asymptotes text {
  fill: var(--ink);
  text-anchor: start;
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
.asymptotes .beside {
  text-anchor: end;
}
/* what a line states is drawn stronger */
[data-lit='vertical'] .vertical,
[data-lit='domain'] .vertical,
[data-lit='horizontal'] .horizontal,
[data-lit='ends'] .horizontal,
[data-lit='oblique'] .oblique,
[data-lit='ends'] .oblique {
  stroke-width: 3.4;
}
</style>
