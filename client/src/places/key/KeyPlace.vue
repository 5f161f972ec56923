<script setup lang="ts">
/** The printable key of one example: the spine with its reasons, and the check in the given. */
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { contentOf } from '@/example/content'
import { wholly } from '@/example/explained'
import { problemOf } from '@/example/problem'
import { givenStop, writtenStops } from '@/example/stops'
import PrintedPage from '@/shared/page/PrintedPage.vue'
import CandidateCheck from '@/spine/CandidateCheck.vue'
import SpineLine from '@/spine/SpineLine.vue'
import { divisions } from '@/spine/tracks'
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
    checked.value = await wholly((explained) =>
      result(api.POST('/api/algebra/check', { body: { ...body, explained } })),
    )
    refusal.value = ''
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    refusal.value = reason.message
  }
}
watch(() => props.id, load, { immediate: true })

const stops = computed<StopLine[]>(() => {
  if (!reading.value || !checked.value) return []
  const written = writtenStops(checked.value.lines, example.value?.reasons)
  return [givenStop(reading.value.reads, words.key.given), ...written]
})
const divided = computed(() => divisions(stops.value))
</script>

<template>
  <PrintedPage
    :back="{ name: 'bench', params: { id } }"
    :back-to="words.key.back"
    :refusal="refusal"
    :ready="!!example && !!checked"
    :title="example?.title || words.bench.untitled"
    @again="load"
  >
    <template #actions>
      <router-link :to="{ name: 'track', params: { id } }">{{ words.show.track }}</router-link>
      <router-link :to="{ name: 'exercise', params: { id } }">
        {{ words.exercise.open }}
      </router-link>
    </template>
    <p v-if="example" class="u-quiet">{{ words.tasks[example.task] }}</p>
    <div class="u-spine" :class="{ hanging: !stops[0]?.sides?.left }">
      <SpineLine
        v-for="(stop, index) in stops"
        :key="stop.number"
        :line="stop"
        :division="divided[index]"
      />
    </div>
    <section v-if="checked?.checks?.length" class="checks">
      <h2>{{ words.key.check }}</h2>
      <CandidateCheck v-for="check in checked.checks" :key="check.value" :check="check" />
    </section>
  </PrintedPage>
</template>

<style scoped>
.u-spine {
  margin-top: var(--space-5);
}
.checks {
  margin-top: var(--space-6);
  border-top: 1px solid var(--rule);
  padding-top: var(--space-4);
  display: grid;
  gap: var(--space-3);
}
</style>
