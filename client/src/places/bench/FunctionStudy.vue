<script setup lang="ts">
/** The studied function: its graph, its features in words, and its shift form to move about. */
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import { words } from '@/texts/en'
import FunctionPlot from './FunctionPlot.vue'
import ShiftForm from './ShiftForm.vue'
import { shifted, type Place } from './shift'
import type { FeatureName } from './useLights'

const props = defineProps<{
  /** The function as typed. */
  given: string
  /** The letter it is a function of. */
  unknown: string
  /** The feature that a line states, lit here. */
  lit: FeatureName | null
}>()
const emit = defineEmits<{
  /** A feature is pointed at: the lines that state it are lit. */
  point: [feature: FeatureName | null]
  /** The moved function is to be the problem. */
  take: [given: string]
}>()

const studied = ref<Schemas['Studied'] | null>(null)
/** The function moved away from the given; null where it stands. */
const moved = ref<Schemas['Studied'] | null>(null)
const place = ref<Place | null>(null)
const refused = ref('')

async function study(given: string): Promise<Schemas['Studied'] | null> {
  try {
    const body = { task: 'study' as const, given, numbers: 'real' as const, form: [], lines: [] }
    const found = await result(api.POST('/api/algebra/study', { body }))
    refused.value = ''
    return found
  } catch (refusal) {
    if (!(refusal instanceof Refusal)) throw refusal
    refused.value = refusal.message
    return null
  }
}
watch(
  () => props.given,
  async (given) => {
    const found = await study(given)
    if (given !== props.given) return
    studied.value = found
    moved.value = place.value = null
  },
  { immediate: true },
)

const shift = computed(() => studied.value?.features.shift ?? null)
const movedText = computed(() =>
  shift.value && place.value ? shifted(shift.value.a, place.value, props.unknown || 'x') : '',
)
watch(movedText, async (text) => {
  if (!text) return void (moved.value = null)
  const found = await study(text)
  if (text === movedText.value) moved.value = found
})

const shown = computed(() => moved.value ?? studied.value)

function equation(text: string | null | undefined): string {
  return readable(text ?? '').replace('=', ' = ')
}

const rows = computed<{ name: FeatureName; label: string; value: string }[]>(() => {
  const found = shown.value?.features
  if (!found) return []
  const listed = (values: readonly string[]) => values.map(readable).join(', ')
  const points = (values: readonly (readonly string[])[]) =>
    values.map((point) => `(${point.map(readable).join(', ')})`).join(', ')
  const far = (end: string) => readable(end.replace('infinity', '∞'))
  const texts: [FeatureName, string][] = [
    ['domain', listed(found.domain_excluded)],
    ['holes', points(found.holes)],
    ['vertical', found.vertical.map(equation).join(', ')],
    ['horizontal', equation(found.horizontal)],
    ['oblique', equation(found.oblique)],
    ['xIntercepts', listed(found.x_intercepts)],
    ['yIntercept', found.y_intercept ? readable(found.y_intercept) : ''],
    ['ends', `${far(found.end.left)} · ${far(found.end.right)}`],
  ]
  return texts
    .filter(([, value]) => value)
    .map(([name, value]) => ({ name, label: words.study[name], value }))
})
const points = computed(() =>
  (shown.value?.features.points ?? [])
    .slice(0, 8)
    .map((point) => `(${point.map(readable).join(', ')})`)
    .join(', '),
)
const spoken = computed(() => rows.value.map(({ label, value }) => `${label}: ${value}`).join('; '))
</script>

<template>
  <section class="study">
    <h2>{{ words.study.graph }}</h2>
    <p v-if="refused" class="u-quiet" role="status">{{ refused }}</p>
    <template v-if="shown && studied">
      <FunctionPlot
        v-model:place="place"
        :studied="shown"
        :was="moved ? studied : null"
        :movable="shift"
        :lit="lit"
        :spoken="spoken"
      />
      <ShiftForm
        v-if="shift"
        v-model="place"
        :shift="shift"
        :unknown="unknown || 'x'"
        :latex="moved?.reads.latex ?? ''"
        @take="emit('take', movedText)"
      />
      <ul>
        <li
          v-for="row in rows"
          :key="row.name"
          tabindex="0"
          :data-lit="lit === row.name || undefined"
          @mouseenter="emit('point', row.name)"
          @mouseleave="emit('point', null)"
          @focus="emit('point', row.name)"
          @blur="emit('point', null)"
        >
          <span class="u-quiet">{{ row.label }}</span> {{ row.value }}
        </li>
        <li v-if="points">
          <span class="u-quiet">{{ words.study.points }}</span> {{ points }}
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped src="./function-study.css"></style>
