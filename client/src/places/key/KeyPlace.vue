<script setup lang="ts">
/** The printable key of one example: the spine with its reasons, and the check in the given. */
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { contentOf } from '@/example/content'
import { problemOf } from '@/example/problem'
import { givenStop, writtenStops } from '@/example/stops'
import CandidateCheck from '@/spine/CandidateCheck.vue'
import SpineLine from '@/spine/SpineLine.vue'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The example's id. */
  id: string
}>()

const example = ref<Schemas['ExampleOut'] | null>(null)
const reading = ref<Schemas['Inspected'] | null>(null)
const checked = ref<Schemas['Checked'] | null>(null)
const refusal = ref('')

async function load(): Promise<void> {
  try {
    const path = { identity: props.id }
    const found = await result(api.GET('/api/examples/{identity}', { params: { path } }))
    example.value = found
    const body = problemOf(contentOf(found))
    reading.value = await result(api.POST('/api/algebra/inspect', { body }))
    checked.value = await result(api.POST('/api/algebra/check', { body }))
  } catch (reason) {
    if (reason instanceof Refusal) refusal.value = reason.message
  }
}
watch(() => props.id, load, { immediate: true })

const stops = computed<StopLine[]>(() => {
  if (!reading.value || !checked.value) return []
  return [givenStop(reading.value.reads, words.key.given), ...writtenStops(checked.value.lines)]
})

function print(): void {
  window.print()
}
</script>

<template>
  <main class="page key">
    <header class="head no-print">
      <router-link :to="{ name: 'bench', params: { id } }">{{ words.key.back }}</router-link>
      <span class="gap" />
      <router-link :to="{ name: 'track', params: { id } }">{{ words.show.track }}</router-link>
      <router-link :to="{ name: 'exercise', params: { id } }">{{
        words.exercise.open
      }}</router-link>
      <el-button type="primary" @click="print">{{ words.key.print }}</el-button>
    </header>
    <p v-if="refusal" role="alert" class="warm">{{ refusal }}</p>
    <article v-if="example && checked" class="sheet">
      <h1>{{ example.title || words.bench.untitled }}</h1>
      <p class="quiet">{{ words.tasks[example.task] }}</p>
      <div class="spine" :class="{ hanging: !stops[0]?.sides?.left }">
        <SpineLine v-for="stop in stops" :key="stop.number" :line="stop" />
      </div>
      <section v-if="checked.checks?.length" class="checks">
        <h2>{{ words.key.check }}</h2>
        <CandidateCheck v-for="check in checked.checks" :key="check.value" :check="check" />
      </section>
    </article>
  </main>
</template>

<style scoped>
.gap {
  flex: 1;
}
.sheet {
  background: var(--sheet);
  border: 1px solid var(--rule);
  padding: 2.2rem 2.4rem;
  max-width: 52rem;
  margin: 0 auto;
}
.sheet h1 {
  margin: 0;
}
.spine {
  margin-top: 1.2rem;
}
.checks {
  margin-top: 1.6rem;
  border-top: 1px solid var(--rule);
  padding-top: 1rem;
  display: grid;
  gap: 0.6rem;
}
@media print {
  .sheet {
    border: 0;
    padding: 0;
    max-width: none;
  }
}
</style>
