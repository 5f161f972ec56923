<script setup lang="ts">
/** One line on the spine: left side, stop, right side, and its words. */
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import Stop from './Stop.vue'
import type { StopLine } from './types'

defineProps<{
  line: StopLine
  /** Whether the details show this line. */
  chosen?: boolean
}>()
</script>

<template>
  <div class="line" :data-mark="line.mark" :data-chosen="chosen || undefined">
    <span class="number" aria-hidden="true">{{ line.number || '' }}</span>
    <span class="left">
      <MathText v-if="line.sides?.left" :latex="line.sides.left" :spoken="line.spoken" display />
    </span>
    <Stop class="on-spine" :sign="line.sides?.sign ?? '='" :mark="line.mark" />
    <span class="right">
      <MathText
        v-if="line.sides"
        :latex="line.sides.right"
        :spoken="line.sides.left ? ' ' : line.spoken"
        display
      />
      <code v-else class="as-typed">{{ line.text }}</code>
    </span>
    <span class="words">
      <span v-if="line.mark !== 'ok' && line.mark !== 'given'" class="says">{{
        words.stops[line.mark]
      }}</span>
      {{ line.words }}
    </span>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 1.6rem minmax(0, 1fr) 36px minmax(0, 1.15fr) minmax(9rem, 0.95fr);
  align-items: center;
  column-gap: 0.55rem;
  min-height: 3rem;
  padding: 0.15rem 0.4rem;
  border-radius: 6px;
}
.line[data-chosen] {
  background: var(--lit);
}
.number {
  color: var(--quiet);
  font-size: 0.8rem;
  text-align: right;
}
.left {
  text-align: right;
}
.left,
.right {
  font-size: 1.12rem;
  overflow-x: auto;
  overflow-y: hidden;
  padding: 0.2rem 0;
}
.words {
  color: var(--quiet);
  font-size: 0.86rem;
  line-height: 1.35;
}
.says {
  color: var(--ink);
  font-weight: 700;
  display: block;
}
[data-mark='wrong'] .says,
[data-mark='loses'] .says {
  color: var(--leave);
}
[data-mark='parallel'] .says {
  font-weight: 400;
  color: var(--quiet);
}
.as-typed {
  background: var(--lit);
  border-bottom: 2px dotted var(--ink);
  padding: 0.1rem 0.3rem;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
</style>
