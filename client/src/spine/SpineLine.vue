<script setup lang="ts">
/** One line on the spine: left side, stop, right side, and its words. */
import { computed } from 'vue'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import { words } from '@/texts/en'
import { readable } from '@/shared/logic/readable'
import HandMarks from './hand/HandMarks.vue'
import DividedLine from './DividedLine.vue'
import { isLeaving } from './marks'
import Stop from './Stop.vue'
import { isTag, type Division } from './tracks'
import type { StopLine } from './types'

const props = defineProps<{
  line: StopLine
  /** Whether the details show this line. */
  chosen?: boolean
  /** How the spine divides on this line. */
  division?: Division | null
}>()

/** An expression that is given hangs on nothing yet: its stop is empty. */
const sign = computed(() =>
  props.line.mark === 'given' && !props.line.sides?.left ? '' : (props.line.sides?.sign ?? '='),
)
/** Whether the mark is said in words beside the line. */
const saysMark = computed(() => props.line.mark !== 'ok' && props.line.mark !== 'given')
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
    <span class="number">
      <span v-if="line.number" class="u-unseen">{{ words.spine.line }}</span>{{ line.number || '' }}
    </span>
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
          :mute="isLeaving(line.mark) || line.mark === 'check'"
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
  <div
    v-else
    class="line"
    :class="{ tagged: isTag(line.sides) }"
    :data-mark="line.mark"
    :data-chosen="chosen || undefined"
  >
    <span class="number">
      <span v-if="line.number" class="u-unseen">{{ words.spine.line }}</span>{{ line.number || '' }}
    </span>
    <DividedLine v-if="division" :line="line" :division="division" />
    <template v-else>
      <span class="left">
        <MathText v-if="line.sides?.left" :latex="line.sides.left" :spoken="line.spoken" display />
      </span>
      <span class="on-spine">
        <!-- what is said beside it is read once -->
        <Stop :sign="sign" :mark="line.mark" :tag="isTag(line.sides)" :mute="saysMark" />
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
    </template>
    <span class="words">
      <span v-if="saysMark" class="says">{{ words.stops[line.mark] }}</span>{{ ' '
      }}<SentenceText :text="line.words" :pieces="line.pieces" />
    </span>
    <HandMarks v-if="line.drawn?.length" :marks="line.drawn" :warm="line.leaves" />
  </div>
</template>

<style scoped src="./spine-line.css"></style>
