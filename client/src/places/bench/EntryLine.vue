<script setup lang="ts">
/** Where a line is typed, on the spine: its stop judges while one types, Enter keeps it. */
import { nextTick, onMounted, ref, useId } from 'vue'
import MathText from '@/shared/math/MathText.vue'
import Stop from '@/spine/Stop.vue'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'

const text = defineModel<string>({ required: true })
defineProps<{
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
const hint = useId()
defineExpose({ focus: () => void nextTick(() => field.value?.focus()) })
onMounted(() => field.value?.focus({ preventScroll: true }))

function pasted(event: ClipboardEvent): void {
  const lines = (event.clipboardData?.getData('text') ?? '').split(/\r?\n/)
  if (lines.filter((line) => line.trim()).length < 2) return
  event.preventDefault()
  emit('paste', lines)
}
</script>

<template>
  <div class="entry" :data-mark="stop?.mark ?? 'empty'">
    <span class="number" aria-hidden="true">{{ number }}</span>
    <div class="preview" aria-hidden="true">
      <MathText v-if="stop?.sides?.left" :latex="stop.sides.left" display />
    </div>
    <Stop :sign="stop?.sides?.sign ?? '='" :mark="stop?.mark ?? 'waiting'" />
    <div class="preview right" aria-hidden="true">
      <MathText v-if="stop?.sides" :latex="stop.sides.right" display />
      <span v-else class="hint">{{ stop ? '' : words.bench.entryHint }}</span>
    </div>
    <div :id="hint" class="says" aria-live="polite">
      <template v-if="stop">
        <b v-if="stop.mark !== 'ok'">{{ words.stops[stop.mark] }}</b> {{ stop.words }}
      </template>
    </div>
    <input
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
    <span class="keys">{{ words.bench.entryKeys }}</span>
  </div>
</template>

<style scoped>
.entry {
  display: grid;
  grid-template-columns: 1.6rem minmax(0, 1fr) 36px minmax(0, 1.15fr) minmax(9rem, 0.95fr);
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
.right {
  justify-content: flex-start;
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
.typed {
  grid-column: 2 / 5;
}
.keys {
  grid-column: 5;
}
</style>
