<script setup lang="ts">
/** A typeset field for one line; what it holds is read back as plain notation before it is judged. */
import 'mathlive/fonts.css'
import { useEventListener, useTimeoutFn } from '@vueuse/core'
import { MathfieldElement } from 'mathlive'
import { onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { api, Refusal, result } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import { words } from '@/texts/en'

/** The line in plain notation; as the field writes it where that cannot be read. */
const text = defineModel<string>({ required: true })
const props = defineProps<{
  label: string
  /** The element that says what is wrong with the line. */
  describedBy: string
}>()
const emit = defineEmits<{ enter: []; up: []; leave: [] }>()

MathfieldElement.fontsDirectory = null
MathfieldElement.soundsDirectory = null
MathfieldElement.plonkSound = null
MathfieldElement.keypressSound = null

const SHORTCUTS = {
  '*': '\\cdot',
  '+-': '\\pm',
  '!=': '\\ne',
  sqrt: '\\sqrt{#?}',
  cbrt: '\\sqrt[3]{#?}',
  or: '\\text{ or }',
  none: '\\text{no solution}',
  all: '\\text{all real numbers}',
}

const place = ref<HTMLElement | null>(null)
let element: MathfieldElement | null = null
/** The last text that came out of the field; another one was put in from outside. */
let given = ''

async function latexOf(plain: string): Promise<string> {
  if (!plain.trim()) return ''
  try {
    return (await result(api.POST('/api/algebra/read', { body: { text: plain } }))).latex
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    return plain
  }
}

async function readBack(): Promise<void> {
  const latex = (element?.getValue('latex') ?? '').replace(/\\placeholder\{\}/g, '')
  let plain = latex
  if (latex.trim()) {
    try {
      plain = (await result(api.POST('/api/algebra/read', { body: { text: latex } }))).text
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
    }
  }
  if (latex !== (element?.getValue('latex') ?? '').replace(/\\placeholder\{\}/g, '')) return
  text.value = given = plain
}
const soon = useTimeoutFn(() => void readBack(), 60, { immediate: false })

async function show(plain: string): Promise<void> {
  if (plain === given) return
  given = plain
  const latex = await latexOf(plain)
  if (given !== plain || !element) return
  // a cleared field that is reused reads letters wrongly unless everything is deleted
  if (!latex) element.executeCommand('deleteAll')
  else element.setValue(latex, { silenceNotifications: true })
}

function key(event: KeyboardEvent): void {
  if (event.key === 'Enter') {
    event.preventDefault()
    soon.stop()
    void readBack().then(() => emit('enter'))
  } else if (event.key === 'Escape') emit('leave')
}

function out(event: Event): void {
  const { direction } = (event as CustomEvent<{ direction: string }>).detail
  if (direction === 'upward') emit('up')
}

onMounted(() => {
  element = new MathfieldElement()
  element.mathVirtualKeyboardPolicy = 'manual'
  element.setAttribute('aria-label', props.label)
  element.setAttribute('aria-describedby', props.describedBy)
  useEventListener(element, 'input', soon.start)
  useEventListener(element, 'keydown', key, { capture: true })
  useEventListener(element, 'move-out', out)
  place.value?.append(element)
  element.inlineShortcuts = SHORTCUTS
  void show(text.value).then(focus)
})
onBeforeUnmount(() => {
  element?.remove()
  element = null
})
watch(text, show)

function focus(): void {
  element?.focus()
}
defineExpose({ focus })
</script>

<template>
  <div class="typeset">
    <div ref="place" />
    <span class="u-quiet" aria-live="polite">
      {{ words.bench.readsBack }} <code>{{ text ? readable(text) : '…' }}</code>
    </span>
  </div>
</template>

<style scoped>
.typeset :deep(math-field) {
  display: block;
  font-size: var(--type-formula);
  border: 1px solid var(--edge);
  border-radius: var(--round);
  padding: var(--space-1) var(--space-2);
  background: var(--sheet);
  color: inherit;
}
.typeset :deep(math-field)::part(virtual-keyboard-toggle),
.typeset :deep(math-field)::part(menu-toggle) {
  display: none;
}
</style>
