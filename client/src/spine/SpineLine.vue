<script setup lang="ts">
/** One line on the spine: left side, stop, right side, and its words. */
import { computed } from 'vue'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import { words } from '@/texts/en'
import { readable } from '@/shared/logic/readable'
import { isLeaving } from './marks'
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
const hasMathematics = computed(() => !!props.line.sides?.right)
/** Beside the spine a line stands whole. */
const whole = computed(() => {
  const sides = props.line.sides
  return sides?.left ? `${sides.left} ${sides.sign} ${sides.right}` : (sides?.right ?? '')
})
</script>

<template>
  <div
    v-if="line.beside"
    class="line beside"
    :data-mark="line.mark"
    :data-chosen="chosen || undefined"
  >
    <span class="number" aria-hidden="true">{{ line.number || '' }}</span>
    <span class="left">
      <span v-if="line.mark === 'operation'" class="operation">{{
        readable(line.operation ?? '')
      }}</span>
    </span>
    <span class="on-spine" />
    <span class="right">
      <span v-if="line.mark === 'operation'" class="operation">{{
        readable(line.operation ?? '')
      }}</span>
      <template v-else>
        <Stop
          v-if="hasMathematics && line.mark !== 'remark'"
          class="small"
          :sign="sign"
          :mark="line.mark"
        />
        <MathText v-if="hasMathematics" :latex="whole" :spoken="line.spoken" display />
        <s v-if="line.struck">{{ line.remark }}</s>
        <i v-else-if="line.remark" class="remark">{{ line.remark }}</i>
      </template>
    </span>
    <span class="words">
      <span v-if="isLeaving(line.mark) || line.mark === 'check'" class="says">{{
        words.stops[line.mark]
      }}</span>{{ ' ' }}<SentenceText :text="line.words" :pieces="line.pieces" />
    </span>
  </div>
  <div v-else class="line" :data-mark="line.mark" :data-chosen="chosen || undefined">
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
      <i v-if="line.remark" class="remark">{{ line.remark }}</i>
      <span v-if="line.operation" class="operation">| {{ readable(line.operation) }}</span>
    </span>
    <span class="words">
      <span v-if="line.mark !== 'ok' && line.mark !== 'given'" class="says">{{
        words.stops[line.mark]
      }}</span>{{ ' ' }}<SentenceText :text="line.words" :pieces="line.pieces" />
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
/* side work, checks and words hang on the spine by a short tick and leave it as it is */
.beside {
  min-height: 2.1rem;
}
.beside .right {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  font-size: 0.98em;
}
.beside .on-spine::after,
.beside .on-spine::before {
  top: 0;
  height: 100%;
}
.beside[data-mark='check'] .right,
.beside[data-mark='side'] .right,
.beside[data-mark='wrong'] .right {
  border-left: 2px dotted var(--edge);
  padding-left: 0.6rem;
}
.small {
  width: 1.5rem;
  height: 1.5rem;
  flex: none;
}
.operation,
.remark {
  color: var(--quiet);
}
.operation {
  font-size: 1.05rem;
  white-space: nowrap;
}
.right > .remark,
.right > .operation {
  margin-left: 0.7rem;
}
.beside .right > .remark:first-child,
.beside .right > .operation:first-child {
  margin-left: 0;
}
s {
  color: var(--quiet);
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
