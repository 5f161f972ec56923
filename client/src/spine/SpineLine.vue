<script setup lang="ts">
/** One line on the spine: left side, stop, right side, and its words. */
import { computed } from 'vue'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import Stop from './Stop.vue'
import type { StopLine } from './types'

const props = defineProps<{
  line: StopLine
  /** Whether the details show this line. */
  chosen?: boolean
}>()

/** An expression that is given hangs on nothing yet: its stop is empty. */
const sign = computed(() =>
  props.line.mark === 'given' && !props.line.sides?.left ? '' : (props.line.sides?.sign ?? '='),
)
</script>

<template>
  <div class="line" :data-mark="line.mark" :data-chosen="chosen || undefined">
    <span class="number" aria-hidden="true">{{ line.number || '' }}</span>
    <span class="left">
      <MathText v-if="line.sides?.left" :latex="line.sides.left" :spoken="line.spoken" display />
    </span>
    <span class="on-spine">
      <Stop :sign="sign" :mark="line.mark" />
    </span>
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
  position: relative;
  display: grid;
  grid-template-columns: var(--spine-columns);
  align-items: center;
  column-gap: 0.55rem;
  min-height: 3.1rem;
  padding: 0 0.4rem;
  border-radius: 6px;
}
.line[data-chosen] {
  background: var(--lit);
}
.line[data-mark='given'] {
  font-size: 1.2em;
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
  font-size: 1.12em;
  overflow-x: auto;
  overflow-y: hidden;
  padding: 0.2rem 0;
}
/* each line draws its piece of the track, so that the spine shows where it was left */
.on-spine {
  position: relative;
  align-self: stretch;
  display: grid;
  place-items: center;
}
.on-spine::before,
.on-spine::after {
  content: '';
  position: absolute;
  left: calc(50% - 1px);
  border-left: 2px solid var(--ink); /* a border: backgrounds are not printed */
}
.on-spine::before {
  top: 0;
  height: 50%;
}
.on-spine::after {
  top: 50%;
  bottom: 0;
}
.on-spine > * {
  position: relative;
  z-index: 1;
}
.line[data-mark='given'] .on-spine::before {
  display: none;
}
/* after an error the work runs on beside the spine, on a thin track of its own */
.line[data-mark='parallel'] .on-spine::before,
.line[data-mark='parallel'] .on-spine::after,
.line[data-mark='wrong'] .on-spine::after,
.line[data-mark='loses'] .on-spine::after {
  border-left: 2px dotted var(--leave-soft);
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
