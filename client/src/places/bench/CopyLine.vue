<script setup lang="ts">
/** Takes a line elsewhere: as plain notation, LaTeX, MathML, Typst, or words. */
import { ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The line as typed. */
  text: string
  /** The line as a hand marks it; null where it is not known. */
  drawn?: Schemas['DrawnLine'] | null
}>()

const kinds = ['text', 'latex', 'mathml', 'typst', 'spoken'] as const
const said = ref('')

watch(
  () => props.text,
  () => (said.value = ''),
)

/** Notations that can carry marks, by the record of a drawn line. */
const MARKED = { latex: 'tex', mathml: 'mathml' } as const

async function copyMarked(kind: keyof typeof MARKED): Promise<void> {
  const text = props.drawn?.[MARKED[kind]] ?? ''
  await navigator.clipboard.writeText(
    kind === 'mathml' ? `<math xmlns="http://www.w3.org/1998/Math/MathML">${text}</math>` : text,
  )
  said.value = words.bench.copied
}

async function copy(kind: (typeof kinds)[number]): Promise<void> {
  try {
    const reading = await result(api.POST('/api/algebra/read', { body: { text: props.text } }))
    await navigator.clipboard.writeText(reading[kind])
    said.value = words.bench.copied
  } catch (reason) {
    said.value = reason instanceof Refusal ? reason.message : String(reason)
  }
}
</script>

<template>
  <div class="copy">
    <span class="u-quiet">{{ words.bench.copyAs }}</span>
    <button v-for="kind in kinds" :key="kind" type="button" class="kind" @click="copy(kind)">
      {{ words.bench.copyKinds[kind] }}
    </button>
    <template v-if="drawn?.tex">
      <span class="u-quiet">{{ words.bench.copyMarked }}</span>
      <button
        v-for="(_, kind) in MARKED"
        :key="kind"
        type="button"
        class="kind"
        :aria-label="`${words.bench.copyMarked} ${words.bench.copyKinds[kind]}`"
        @click="copyMarked(kind)"
      >
        {{ words.bench.copyKinds[kind] }}
      </button>
    </template>
    <span role="status" class="u-quiet">{{ said }}</span>
  </div>
</template>

<style scoped>
.copy {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-3);
  margin-top: var(--space-4);
  font-size: var(--type-note);
}
.copy > span:first-child {
  flex-basis: 100%;
}
.kind {
  border: 0;
  background: none;
  padding: 0.1rem 0;
  font: inherit;
  color: var(--ink);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
</style>
