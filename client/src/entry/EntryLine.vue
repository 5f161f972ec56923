<script setup lang="ts">
/** Where a line is typed, on the spine: its stop judges while one types, Enter keeps it. */
import { computed, defineAsyncComponent, nextTick, onMounted, ref, useId, watch } from 'vue'
import { field as kind, toggleField } from '@/shared/composables/field'
import { keyName } from '@/shared/composables/useKeys'
import SentenceText from '@/shared/math/SentenceText.vue'
import Stop from '@/spine/Stop.vue'
import { isTag } from '@/spine/tracks'
import type { Mark, Sides, StopLine } from '@/spine/types'
import { words } from '@/texts/en'
import { pastedLines } from './pasted'
import SideFields from './SideFields.vue'
import { SIGNS, type TypedSign } from './signs'
import TypedPreview from './TypedPreview.vue'
import TypedSigns from './TypedSigns.vue'

const TypesetField = defineAsyncComponent(() => import('./TypesetField.vue'))

const text = defineModel<string>({ required: true })
const props = defineProps<{
  /** The verdict on what is typed so far, once there is one. */
  stop: StopLine | null
  /** Read out before the field. */
  label: string
  /** The number of the line. */
  number: number
  /** Whether the lines hang on the spine, without a left side: an expression is written. */
  hangs?: boolean
  /** What is said where nothing is typed. */
  rest?: string
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

const field = ref<InstanceType<typeof SideFields> | null>(null)
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

const focus = () =>
  field.value ? field.value.focus() : void nextTick(() => typeset.value?.focus())
defineExpose({ focus })
watch(kind, () => void nextTick(focus))
const row = ref<HTMLElement | null>(null)
/** The entry is always in sight: also where there is little room, and under many lines. */
const intoSight = () => void nextTick(() => row.value?.scrollIntoView({ block: 'nearest' }))
watch(() => props.number, intoSight)
onMounted(() => {
  focus()
  intoSight()
})

function pasted(event: ClipboardEvent): void {
  const lines = pastedLines(event.clipboardData?.getData('text') ?? '')
  if (lines.length < 2) return
  event.preventDefault()
  emit('paste', lines)
}

const insert = (sign: TypedSign) => field.value?.insert(sign.before, sign.behind)
/** By key only into the line that has the cursor: another one may be open between others. */
function byKey(event: KeyboardEvent): void {
  const sign = SIGNS.find(({ key }) => key === keyName(event))
  if (!sign) return
  event.preventDefault()
  insert(sign)
}
</script>

<template>
  <div
    ref="row"
    class="entry no-print"
    :data-mark="stop ? mark : 'empty'"
    :data-typed="text"
    :data-judged="stop && stop.mark !== 'waiting' ? stop.text : undefined"
    @keydown="byKey"
  >
    <span class="number" aria-hidden="true">{{ number }}</span>
    <TypesetField
      v-if="kind === 'typeset'"
      ref="typeset"
      v-model="text"
      class="whole-line"
      :label="label"
      :described-by="hint"
      @enter="emit('keep')"
      @up="emit('up')"
      @leave="emit('leave')"
    />
    <SideFields
      v-else
      ref="field"
      v-model="text"
      :label="label"
      :hangs="!!hangs"
      :described-by="hint"
      @enter="emit('keep')"
      @up="emit('up')"
      @leave="emit('leave')"
      @paste="pasted"
    >
      <span class="on-spine">
        <Stop :sign="sides?.sign ?? field?.sign.trim() ?? '='" :mark="mark" :tag="isTag(sides)" />
      </span>
    </SideFields>
    <div :id="hint" class="says" aria-live="polite">
      <template v-if="stop && mark !== 'waiting'">
        <b v-if="mark !== 'ok'">{{ words.stops[mark] }}</b>
        <SentenceText
          :text="stop.words || (mark === 'ok' ? words.stops.soFar : '')"
          :pieces="stop.pieces"
        />
      </template>
      <template v-else-if="!stop">{{ rest }}</template>
    </div>
    <TypedPreview v-if="kind !== 'typeset'" :sides="sides" :old="!!sides && !stop?.sides" />
    <div class="keys">
      <TypedSigns v-if="kind !== 'typeset'" @insert="insert" />
      <span>{{ words.bench.entryKeys }}</span>
      <el-button link type="primary" size="small" @click="toggleField">
        {{ words.bench.field[kind] }}
      </el-button>
    </div>
  </div>
</template>

<style scoped src="./entry-line.css"></style>
