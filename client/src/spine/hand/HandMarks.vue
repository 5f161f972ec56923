<script setup lang="ts">
/** Over a typeset line: what a hand would mark on it. Lies on the line, takes no room, and says itself in words. */
import { useEventListener, useResizeObserver } from '@vueuse/core'
import { nextTick, onMounted, ref, useId, useTemplateRef, watch } from 'vue'
import MathText from '@/shared/math/MathText.vue'
import { boxesIn } from './measure'
import { drawing, type DrawnMark, type Drawing } from './strokes'

const props = defineProps<{
  /** The marks on this line, in the order in which they are drawn. */
  marks: readonly DrawnMark[]
  /** Whether they show where somebody left. */
  warm?: boolean
}>()

const head = useId()
const layer = useTemplateRef<HTMLElement>('layer')
const drawn = ref<Drawing>({ strokes: [], notes: [] })

function measure(): void {
  const line = layer.value?.parentElement
  if (!line) return
  const em = parseFloat(getComputedStyle(line).fontSize)
  drawn.value = drawing(props.marks, (part, signed) => boxesIn(line, part, signed), em)
}
const soon = () => void nextTick(measure)
watch(() => props.marks, soon)
onMounted(() => {
  soon()
  const line = layer.value?.parentElement
  if (line) {
    useResizeObserver(line, measure)
    useEventListener(line, 'scroll', measure, { capture: true, passive: true })
  }
  void document.fonts?.ready.then(measure)
})
</script>

<template>
  <span ref="layer" class="hand" :class="{ warm }" aria-hidden="true" :data-marks="marks.length">
    <svg>
      <defs>
        <marker
          :id="head"
          viewBox="0 0 8 8"
          refX="6"
          refY="4"
          markerWidth="5"
          markerHeight="5"
          orient="auto"
        >
          <path d="M1 1L7 4L1 7" />
        </marker>
      </defs>
      <path
        v-for="(stroke, index) in drawn.strokes"
        :key="index"
        :d="stroke.path"
        :stroke-dasharray="stroke.dash"
        :marker-end="stroke.arrow ? `url(#${head})` : undefined"
      />
    </svg>
    <span
      v-for="(note, index) in drawn.notes"
      :key="`n${index}`"
      class="note"
      :data-at="note.at"
      :style="{ left: `${note.x}px`, top: `${note.y}px` }"
    >
      <template v-if="note.letter">{{ note.letter }}</template>
      <template v-else>
        {{ note.mark.sign
        }}<MathText v-if="note.mark.text" :latex="note.mark.text.latex" spoken=" " />
      </template>
    </span>
  </span>
</template>

<style scoped>
.hand {
  position: absolute;
  inset: 0;
  pointer-events: none;
  color: var(--hand);
  z-index: 2;
}
.hand.warm {
  color: var(--leave);
}
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  overflow: visible;
}
path {
  fill: none;
  stroke: currentcolor;
  stroke-width: max(1.5px, 0.055em);
  stroke-linecap: round;
  stroke-linejoin: round;
}
marker path {
  stroke-width: 1.4;
}
.note {
  position: absolute;
  font-size: 0.66em;
  line-height: 1.05;
  white-space: nowrap;
  font-weight: 700;
}
.note :deep(.katex) {
  font-size: 1.1em;
}
.note[data-at='below'] {
  transform: translate(-50%, 0);
}
.note[data-at='above'] {
  transform: translate(-50%, -100%);
}
.note[data-at='right'] {
  transform: translate(0, -50%);
}
</style>
