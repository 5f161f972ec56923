<script setup lang="ts">
/** The line as it is typed where it will hang: left side, the stop, right side; `=` goes over. */
import type { InputInstance } from 'element-plus'
import { computed, ref } from 'vue'
import { words } from '@/texts/en'
import { useSides } from './useSides'

const text = defineModel<string>({ required: true })
const props = defineProps<{
  /** Read out before the field; the right side's is made of it. */
  label: string
  /** Whether the lines hang on the spine: they have no left side. */
  hangs: boolean
  /** The id of what is said of the line. */
  describedBy: string
}>()
const emit = defineEmits<{ enter: []; up: []; leave: []; paste: [event: ClipboardEvent] }>()

const left = ref<InputInstance | null>(null)
const right = ref<InputInstance | null>(null)
const { parts, isWhole, typed, pressed, replaceAll, insert, focus } = useSides(
  text,
  () => props.hangs,
  {
    left: () => left.value?.input ?? undefined,
    right: () => right.value?.input ?? undefined,
  },
)
defineExpose({ focus, insert, sign: computed(() => parts.value.sign) })

function key(event: KeyboardEvent | Event): void {
  if (!(event instanceof KeyboardEvent) || event.isComposing) return
  if (pressed(event)) event.preventDefault()
  else if (event.key === 'Enter') {
    event.preventDefault()
    emit('enter')
  } else if (event.key === 'ArrowUp' && !event.altKey) emit('up')
  else if (event.key === 'Escape') emit('leave')
}

function pasted(event: ClipboardEvent): void {
  emit('paste', event)
  if (!isWhole.value || event.defaultPrevented) return
  event.preventDefault()
  replaceAll(event.clipboardData?.getData('text') ?? '')
}
/** What both fields are alike in. */
const alike = computed(() => ({
  'aria-describedby': props.describedBy,
  autocomplete: 'off',
  spellcheck: false,
  class: { side: true, whole: isWhole.value },
  onKeydown: key,
  onPaste: pasted,
  onMousedown: () => (isWhole.value = false),
}))
</script>

<template>
  <el-input
    v-if="!hangs"
    ref="left"
    v-bind="alike"
    class="left-side"
    :model-value="parts.left"
    :aria-label="label"
    :placeholder="text ? '' : words.bench.entryHint"
    @input="(value: string) => typed('left', value)"
  />
  <span class="at-stop"><slot /></span>
  <el-input
    ref="right"
    v-bind="alike"
    class="right-side"
    :model-value="parts.right"
    :aria-label="hangs ? label : words.bench.rightSide(label)"
    :placeholder="hangs && !text ? words.bench.entryHint : ''"
    @input="(value: string) => typed('right', value)"
  />
</template>

<style scoped>
.at-stop {
  align-self: stretch;
  display: grid;
}
.side :deep(.el-input__wrapper) {
  padding: 0 var(--space-2);
}
.side :deep(input) {
  font-size: var(--type-entry);
  height: 2.4rem;
}
.left-side :deep(input) {
  text-align: right;
}
.whole :deep(input) {
  background: var(--glow);
}
</style>
