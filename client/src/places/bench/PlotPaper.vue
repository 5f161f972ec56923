<script setup lang="ts">
/** The paper of a graph: its grid, the axes, the numbers along them. */
import { computed } from 'vue'
import { readable } from '@/shared/logic/readable'
import { atX, atY, ticks, type Frame } from './plot'

const props = defineProps<{ frame: Frame }>()
const xTicks = computed(() => ticks(props.frame.x[0], props.frame.x[1]))
const yTicks = computed(() => ticks(props.frame.y[0], props.frame.y[1]))
</script>

<template>
  <g class="grid">
    <line
      v-for="x in xTicks"
      :key="`x${x}`"
      :x1="atX(frame, x)"
      :x2="atX(frame, x)"
      y1="0"
      :y2="frame.height"
    />
    <line
      v-for="y in yTicks"
      :key="`y${y}`"
      x1="0"
      :x2="frame.width"
      :y1="atY(frame, y)"
      :y2="atY(frame, y)"
    />
  </g>
  <g class="axes">
    <line x1="0" :x2="frame.width" :y1="atY(frame, 0)" :y2="atY(frame, 0)" />
    <line :x1="atX(frame, 0)" :x2="atX(frame, 0)" y1="0" :y2="frame.height" />
  </g>
  <g class="numbers">
    <text v-for="x in xTicks" :key="x" :x="atX(frame, x)" :y="atY(frame, 0) + 13">
      {{ readable(String(x)) }}
    </text>
    <text v-for="y in yTicks" :key="y" class="beside" :x="atX(frame, 0) - 5" :y="atY(frame, y) + 4">
      {{ readable(String(y)) }}
    </text>
  </g>
</template>

<style scoped>
.grid line {
  stroke: var(--rule);
  stroke-width: 0.6;
}
.axes line {
  stroke: var(--quiet);
  stroke-width: 1.1;
}
text {
  font-size: 12px;
  fill: var(--quiet);
  text-anchor: middle;
}
.beside {
  text-anchor: end;
}
</style>
