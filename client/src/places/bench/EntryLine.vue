<script setup lang="ts">
/** Where a line is typed, on the spine: its stop judges while one types, Enter keeps it. */
import { computed, defineAsyncComponent, nextTick, onMounted, ref, useId, watch } from 'vue'
import { field as kind, toggleField } from '@/shared/composables/field'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import Stop from '@/spine/Stop.vue'
import type { Mark, Sides, StopLine } from '@/spine/types'
import { words } from '@/texts/en'

const TypesetField = defineAsyncComponent(() => import('./TypesetField.vue'))

const text = defineModel<string>({ required: true })
const props = defineProps<{
  /** The verdict on what is typed so far, once there is one. */
  stop: StopLine | null
  /** Read out before the field. */
  label: string
  /** The number of the line. */
  number: number
}>()
const emit = defineEmits<{
  /** Enter: the line is kept. */
  keep: []
  /** Several lines were pasted. */
  paste: [lines: string[]]
  /** Arrow up in an empty or finished line. */
  up: []
  leave: []
}>()

const field = ref<HTMLInputElement | null>(null)
const typeset = ref<{ focus: () => void } | null>(null)
const hint = useId()
/** The last readable form, so that the preview does not flicker while one types. */
const sides = ref<Sides | null>(null)

watch(
  () => props.stop,
  (stop) => {
    if (!stop) sides.value = null
    else if (stop.sides) sides.value = stop.sides
  },
)

/** Half a line is no fault while one types: what cannot be read is said once it is kept. */
const mark = computed<Mark>(() => {
  const found = props.stop?.mark ?? 'waiting'
  return found === 'unreadable' ? 'waiting' : found
})

const focus = () => void nextTick(() => (field.value ?? typeset.value)?.focus())
defineExpose({ focus })
watch(kind, focus)
onMounted(() => field.value?.focus({ preventScroll: true }))

function pasted(event: ClipboardEvent): void {
  const lines = (event.clipboardData?.getData('text') ?? '').split(/\r?\n/)
  if (lines.filter((line) => line.trim()).length < 2) return
  event.preventDefault()
  emit('paste', lines)
}
</script>

<template>
  <div
    class="entry"
    :data-mark="stop ? mark : 'empty'"
    :data-judged="stop && stop.mark !== 'waiting' ? stop.text : undefined"
  >
    <span class="number" aria-hidden="true">{{ number }}</span>
    <div class="preview" :data-old="!!sides && !stop?.sides" aria-hidden="true">
      <MathText v-if="sides?.left" :latex="sides.left" display />
    </div>
    <span class="on-spine">
      <Stop :sign="sides?.sign ?? '='" :mark="mark" />
    </span>
    <div class="preview right" :data-old="!!sides && !stop?.sides" aria-hidden="true">
      <MathText v-if="sides" :latex="sides.right" display />
      <span v-else class="hint">{{ stop ? '' : words.bench.entryHint }}</span>
    </div>
    <div :id="hint" class="says" aria-live="polite">
      <template v-if="stop && mark !== 'waiting'">
        <b v-if="mark !== 'ok'">{{ words.stops[mark] }}</b>
        <SentenceText :text="stop.words" :pieces="stop.pieces" />
      </template>
    </div>
    <TypesetField
      v-if="kind === 'typeset'"
      ref="typeset"
      v-model="text"
      :label="label"
      :described-by="hint"
      @enter="emit('keep')"
      @up="emit('up')"
      @leave="emit('leave')"
    />
    <input
      v-else
      ref="field"
      v-model="text"
      class="typed"
      :aria-label="label"
      :aria-describedby="hint"
      autocomplete="off"
      spellcheck="false"
      @keydown.enter.prevent="emit('keep')"
      @keydown.up="emit('up')"
      @keydown.escape="emit('leave')"
      @paste="pasted"
    />
    <span class="keys">
      {{ words.bench.entryKeys }} ·
      <button type="button" class="quiet-button" @click="toggleField">
        {{ words.bench.field[kind] }}
      </button>
    </span>
  </div>
</template>

<style scoped>
.entry {
  display: grid;
  grid-template-columns: var(--spine-columns);
  align-items: center;
  column-gap: 0.55rem;
  row-gap: 0.35rem;
  padding: 0.3rem 0.4rem 0.5rem;
  border-radius: 6px;
  background: var(--lit);
}
.number {
  color: var(--quiet);
  font-size: 0.8rem;
  text-align: right;
}
.preview {
  font-size: 1.12rem;
  text-align: right;
  min-height: 2.6rem;
  display: flex;
  align-items: center;
  justify-content: flex-end;
  overflow: hidden;
}
.preview[data-old='true'] {
  opacity: 0.45;
}
.right {
  justify-content: flex-start;
}
.on-spine {
  position: relative;
  align-self: stretch;
  display: grid;
  place-items: center;
}
.on-spine::before {
  content: '';
  position: absolute;
  left: calc(50% - 1px);
  top: -0.3rem;
  height: calc(50% + 0.3rem);
  border-left: 2px dotted var(--edge);
}
.on-spine > * {
  position: relative;
}
.hint,
.keys {
  color: var(--quiet);
  font-size: 0.86rem;
}
.says {
  font-size: 0.86rem;
  color: var(--quiet);
  line-height: 1.35;
}
.says b {
  color: var(--ink);
  display: block;
}
[data-mark='wrong'] .says b,
[data-mark='loses'] .says b {
  color: var(--leave);
}
.typed,
.entry :deep(.typeset) {
  grid-column: 2 / 5;
}
.keys {
  grid-column: 5;
}
</style>
