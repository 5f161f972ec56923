<script setup lang="ts">
/** Where a line is typed, on the spine: its stop judges while one types, Enter keeps it. */
import type { InputInstance } from 'element-plus'
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

const field = ref<InputInstance | null>(null)
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
onMounted(() => field.value?.input?.focus({ preventScroll: true }))

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
    <el-input
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
      <el-button link type="primary" size="small" @click="toggleField">
        {{ words.bench.field[kind] }}
      </el-button>
    </span>
  </div>
</template>

<style scoped src="./entry-line.css"></style>
