<script setup lang="ts">
/** A show of hands: what the class thinks comes out, or whether a fork is right; counted by key or typed. */
import { useEventListener } from '@vueuse/core'
import { onMounted, reactive, ref } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { contentOf } from '@/example/content'
import { problemOf } from '@/example/problem'
import { isTyping } from '@/shared/composables/useKeys'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'

type Raised = Schemas['Raised']

const props = defineProps<{
  /** The example's id. */
  example: string
  /** The fork that is asked about; null: the answers to choose from. */
  fork: Schemas['Fork'] | null
  /** What was counted here before. */
  before: Schemas['HandsIn'] | null
}>()
const emit = defineEmits<{ raised: [hands: Schemas['HandsIn']]; close: [] }>()

const LETTERS = 'ABCD'
const answers = reactive<Raised[]>([])
const says = ref('')
const blank = { latex: '', right: false, error: '', name: '', count: 0 }

function ofFork({ wrong, wrong_latex, error, name }: Schemas['Fork']): Raised[] {
  const yes = { text: `${words.hold.yes}: ${wrong}`, latex: wrong_latex, error, name }
  return [
    { ...blank, label: 'A', ...yes },
    { ...blank, label: 'B', text: words.hold.no, right: true },
  ]
}
async function ofExample(): Promise<Raised[]> {
  const path = { identity: props.example }
  const found = await result(api.GET('/api/examples/{identity}', { params: { path } }))
  const body = { ...problemOf(contentOf(found)), lines: [] }
  const { choices } = await result(api.POST('/api/algebra/choices', { body }))
  return choices.slice(0, LETTERS.length).map((choice, index) => ({
    ...{ ...blank, label: LETTERS[index] ?? '', text: choice.text, latex: choice.latex },
    ...{ right: choice.right, error: choice.error ?? '', name: choice.name ?? '' },
  }))
}
onMounted(async () => {
  if (props.before) answers.push(...props.before.counts.map((one) => ({ ...one })))
  else if (props.fork) answers.push(...ofFork(props.fork))
  else
    try {
      answers.push(...(await ofExample()))
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      says.value = reason.message
    }
  if (answers.length < 2 && !says.value) says.value = words.hold.noChoices
})

function tell(): void {
  const kind = props.fork ? 'fork' : 'choices'
  const after = props.fork ? props.fork.after : 0
  emit('raised', { after, kind, counts: answers.map((one) => ({ ...one })) })
}
function raise(answer: Raised, by = 1): void {
  answer.count = Math.max(0, Math.min(400, answer.count + by))
  tell()
}
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (event.ctrlKey || event.altKey || event.metaKey || isTyping(event)) return
  const answer = answers.find(({ label }) => label === event.key.toUpperCase())
  if (!answer) return
  event.preventDefault()
  raise(answer, event.shiftKey ? -1 : 1)
})
</script>

<template>
  <section class="hands" :aria-label="words.hold.hands">
    <p v-if="says" role="status">{{ says }}</p>
    <p v-else class="u-quiet">{{ words.hold.handsSays }}</p>
    <ul>
      <li v-for="answer in answers" :key="answer.label">
        <el-button :aria-label="words.hold.raise(answer.label)" @click="raise(answer)">{{
          answer.label
        }}</el-button>
        <span v-if="fork && answer.right">{{ words.hold.no }}</span>
        <span v-else>
          <template v-if="fork">{{ words.hold.yes }}</template>
          <MathText v-else :latex="answer.latex ?? ''" display />
        </span>
        <el-input-number
          v-model="answer.count"
          :min="0"
          :max="400"
          :controls="false"
          :aria-label="words.hold.count(answer.label)"
          @change="tell"
        />
      </li>
    </ul>
    <el-button link type="primary" @click="$emit('close')">{{ words.hold.close }}</el-button>
  </section>
</template>

<style scoped>
.hands {
  grid-row: 2;
  position: absolute;
  right: var(--space-6);
  bottom: 5rem;
  z-index: 5;
  background: var(--sheet);
  border: 2px solid var(--ink);
  padding: var(--space-4) var(--space-5);
  max-width: 34rem;
}
ul {
  list-style: none;
  margin: 0 0 var(--space-3);
  padding: 0;
  display: grid;
  gap: var(--space-3);
}
li {
  display: grid;
  grid-template-columns: auto minmax(8rem, 1fr) 5rem;
  gap: var(--space-4);
  align-items: center;
  font-size: 1.5rem;
}
.el-input-number {
  width: 5rem;
}
</style>
