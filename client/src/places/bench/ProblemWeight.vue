<script setup lang="ts">
/** How hard the problem is, and why. */
import { useTimeoutFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import type { Content } from '@/example/content'
import { problemOf } from '@/example/problem'
import FoldOut from '@/shared/page/FoldOut.vue'
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
</script>

<template>
  <FoldOut v-model:open="open" class="weight" :summary="words.bench.weight">
    <template v-if="worked">
      <p>
        <b>{{ words.sets.score(worked.difficulty.score) }}</b>
        {{ worked.difficulty.reasons.join(', ') }}
      </p>
    </template>
    <p v-else class="u-quiet">{{ words.sets.notWorked }}</p>
  </FoldOut>
</template>

<style scoped>
.weight {
  margin-top: var(--space-5);
  padding-top: var(--space-4);
  border-top: 1px solid var(--rule);
}
.weight :deep(summary) {
  font-weight: 700;
}
</style>
