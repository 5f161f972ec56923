<script setup lang="ts">
/** How hard the problem is, why, and for a linear equation what lies on both sides of the balance. */
import { useTimeoutFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import type { Content } from '@/example/content'
import { problemOf } from '@/example/problem'
import { readable } from '@/shared/logic/readable'
import { words } from '@/texts/en'

const props = defineProps<{ content: Content }>()

const worked = ref<Schemas['Worked'] | null>(null)
const asked = computed(() => ({ ...problemOf(props.content), lines: [] }))
const open = ref(false)

async function look(): Promise<void> {
  const mine = JSON.stringify(asked.value)
  try {
    const found = await result(api.POST('/api/algebra/work', { body: asked.value }))
    if (mine === JSON.stringify(asked.value)) worked.value = found
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    worked.value = null
  }
}
const soon = useTimeoutFn(() => void look(), 300, { immediate: false })
watch(
  [() => JSON.stringify(asked.value), open],
  () => {
    worked.value = null
    if (open.value) soon.start()
  },
  { immediate: true },
)

/** What lies on one side: bags for the unknown, blocks for the number. */
function weights(side: Schemas['Side'], letter: string): string {
  const many =
    side.unknown === '0' ? '' : `${side.unknown === '1' ? '' : readable(side.unknown)}${letter}`
  const number = side.number === '0' ? '' : readable(side.number)
  if (!many || !number) return many || number || '0'
  return `${many} ${number.startsWith('−') ? '−' : '+'} ${number.replace('−', '')}`
}
const letter = computed(
  () => props.content.variable || /[a-z]/i.exec(props.content.given)?.[0] || 'x',
)
</script>

<template>
  <details class="weight" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>{{ words.bench.weight }}</summary>
    <template v-if="worked">
      <p>
        <b>{{ words.sets.score(worked.difficulty.score) }}</b>
        {{ worked.difficulty.reasons.join(', ') }}
      </p>
      <ol v-if="worked.balance?.length" class="balance">
        <li v-for="picture in worked.balance" :key="picture.line">
          <span class="done">{{ picture.done }}</span>
          <span class="beam">
            <svg viewBox="0 0 200 40" preserveAspectRatio="none" aria-hidden="true">
              <path d="M50 38V8H150V38M100 8V2" vector-effect="non-scaling-stroke" />
            </svg>
            <span class="pan">{{ weights(picture.left, letter) }}</span>
            <span class="pan">{{ weights(picture.right, letter) }}</span>
          </span>
        </li>
      </ol>
    </template>
    <p v-else class="u-quiet">{{ words.sets.notWorked }}</p>
  </details>
</template>

<style scoped>
.weight {
  margin-top: var(--space-5);
  padding-top: var(--space-4);
  border-top: 1px solid var(--rule);
}
summary {
  cursor: pointer;
  font-weight: 700;
}
.balance {
  list-style: none;
  margin: var(--space-3) 0 0;
  padding: 0;
}
.done {
  color: var(--quiet);
  font-size: var(--type-small);
}
.beam {
  position: relative;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-4);
  padding-top: 1.6rem;
}
.pan {
  border-bottom: 3px solid var(--ink);
  border-radius: 0 0 14px 14px;
  padding: 0.1rem var(--space-2) var(--space-1);
  text-align: center;
  font-size: var(--type-note);
}
svg {
  position: absolute;
  inset: 0 0 auto;
  width: 100%;
  height: 1.7rem;
}
svg path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
