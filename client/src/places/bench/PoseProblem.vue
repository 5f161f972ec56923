<script setup lang="ts">
/** Posing the problem: plain typing, typeset and read out in words at once. */
import { useDebounceFn } from '@vueuse/core'
import type { InputInstance } from 'element-plus'
import { nextTick, onMounted, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import MathText from '@/shared/math/MathText.vue'
import { posedProblem } from '@/example/posed'
import { words } from '@/texts/en'
import AmbiguousReading from './AmbiguousReading.vue'
import { pastedLines } from '@/entry/pasted'

const props = defineProps<{
  /** The problem as it stands. */
  given: string
}>()
const emit = defineEmits<{
  /** The problem is kept. */
  pose: [given: string]
  /** Left without a change. */
  leave: []
}>()

const text = ref(props.given)
const reading = ref<Schemas['Notations'] | null>(null)
const refusal = ref<Refusal | null>(null)
const field = ref<InputInstance | null>(null)

const readSoon = useDebounceFn(async () => {
  const typed = text.value
  const sent = posedProblem(typed, 'solve').given // the words before it are no mathematics
  if (!sent) {
    reading.value = refusal.value = null
    return
  }
  try {
    const found = await result(api.POST('/api/algebra/read', { body: { text: sent } }))
    if (typed !== text.value) return
    reading.value = found
    refusal.value = null
  } catch (reason) {
    if (reason instanceof Refusal && typed === text.value) refusal.value = reason
  }
}, 80)

watch(text, () => void readSoon(), { immediate: true })
onMounted(() => void nextTick(() => field.value?.focus()))

function keep(): void {
  if (text.value.trim()) emit('pose', text.value)
}

/** A whole worked example can be pasted: the problem, and its lines below. */
function pasted(event: ClipboardEvent): void {
  const lines = pastedLines(event.clipboardData?.getData('text') ?? '')
  if (lines.length < 2) return
  event.preventDefault()
  emit('pose', lines.join('\n'))
}

function pointOut(): void {
  const at = refusal.value?.at
  if (at === null || at === undefined) return
  const place = at + Math.max(0, text.value.indexOf(posedProblem(text.value, 'solve').given))
  field.value?.focus()
  field.value?.input?.setSelectionRange(place, place + 1)
}
</script>

<template>
  <form class="pose" @submit.prevent="keep">
    <label for="given">{{ words.bench.givenLabel }}</label>
    <el-input
      id="given"
      ref="field"
      v-model="text"
      class="posed"
      :placeholder="words.bench.givenHint"
      :aria-invalid="!!refusal"
      aria-describedby="given-reading"
      autocomplete="off"
      spellcheck="false"
      @paste="pasted"
      @keydown.escape.stop="emit('leave')"
      @blur="text.trim() && !refusal && text !== given && keep()"
    />
    <div id="given-reading" class="reading" aria-live="polite">
      <template v-if="refusal && text.trim()">
        <button type="button" class="where" @click="pointOut">{{ refusal.message }}</button>
      </template>
      <template v-else-if="reading && text.trim()">
        <MathText class="preview" :latex="reading.latex" display />
        <span class="spoken">{{ reading.spoken }}</span>
      </template>
      <span v-else class="hint">{{ words.bench.pose }}</span>
    </div>
    <AmbiguousReading
      v-for="item in refusal ? [] : (reading?.ambiguities ?? [])"
      :key="item.says"
      :item="item"
    />
  </form>
</template>

<style scoped>
.pose {
  display: grid;
  gap: var(--space-2);
  max-width: 46rem;
}
label {
  color: var(--quiet);
  font-size: var(--type-note);
}
.posed[aria-invalid='true'] {
  --el-input-border-color: var(--leave);
}
.reading {
  min-height: 4.6rem;
  display: flex;
  align-items: center;
  gap: var(--space-5);
}
.preview {
  flex: none;
  max-width: 60%;
  overflow-x: auto;
  white-space: nowrap;
  font-size: 1.35rem;
}
.spoken,
.hint {
  color: var(--quiet);
  font-size: var(--type-note);
}
.where {
  color: var(--leave);
  background: none;
  border: 0;
  padding: 0;
  font: inherit;
  text-align: left;
  text-decoration: underline dotted;
  cursor: pointer;
}
</style>
