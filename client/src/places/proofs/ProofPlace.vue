<script setup lang="ts">
/** The report on a key: item by item, corrections accepted one by one or all, printed, made a set. */
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, Refusal, result, type Schemas } from '@/api/client'
import JobProgress from '@/jobs/JobProgress.vue'
import { useJob } from '@/jobs/useJob'
import { words } from '@/texts/en'
import ErrataSlip from './ErrataSlip.vue'
import ProofItem from './ProofItem.vue'

const props = defineProps<{
  /** The proofed key's id. */
  id: string
}>()

const router = useRouter()
const proof = ref<Schemas['ProofOut'] | null>(null)
const refusal = ref('')
const only = ref(false)
const errata = ref(false)
const busy = ref(false)
const begun = computed(() => proof.value?.job ?? null)
const {
  job,
  refusal: jobRefusal,
  cancel,
} = useJob(
  () => begun.value,
  () => {
    if (proof.value && !proof.value.report.length) void load()
  },
)

const at = computed(() => ({ params: { path: { identity: props.id } } }))

async function tried(action: () => Promise<void>): Promise<void> {
  try {
    await action()
    refusal.value = ''
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    refusal.value = reason.message
  }
}

function load(): Promise<void> {
  return tried(async () => {
    proof.value = await result(api.GET('/api/proofs/{identity}', at.value))
  })
}
watch(() => props.id, load, { immediate: true })

const items = computed(() => proof.value?.report ?? [])
const shown = computed(() =>
  items.value
    .map((item, place) => ({ item, place }))
    .filter(({ item }) => !only.value || item.status !== 'holds'),
)
const holding = computed(() => items.value.filter((item) => item.status === 'holds').length)
const mendable = computed(() =>
  items.value.flatMap((item, place) =>
    item.correction?.length || (item.status === 'no-answer' && item.answer) ? [place] : [],
  ),
)

function accept(places: number[]): Promise<void> {
  return tried(async () => {
    const body = { places }
    proof.value = await result(api.PUT('/api/proofs/{identity}/accepted', { ...at.value, body }))
  })
}

function toggle(place: number, on: boolean): Promise<void> {
  const now = proof.value?.accepted ?? []
  return accept(on ? [...now, place] : now.filter((other) => other !== place))
}

type Reading = Schemas['KeyItemIn']

/** The item as it is read now. */
function readingOf(item: Schemas['ProofItem']): Reading {
  return {
    number: item.number,
    at: item.at,
    task: (item.task ?? 'simplify') as Reading['task'],
    given: item.given,
    lines: (item.lines ?? []).map((line) => line.text),
    options: (item.options ?? []).map((option): [string, string] => [option.letter, option.text]),
    chosen: item.chosen ?? '',
    notes: item.notes ?? [],
    variable: item.variable ?? null,
  }
}

/** Put `instead` in the place of `count` items from `place` on; what changed is judged again. */
function reread(place: number, count: number, instead: Reading[]): Promise<void> {
  const all = items.value.map(readingOf)
  all.splice(place, count, ...instead)
  busy.value = true
  return tried(async () => {
    const body = { items: all }
    proof.value = await result(api.PUT('/api/proofs/{identity}/items', { ...at.value, body }))
  }).finally(() => (busy.value = false))
}

/** An item becomes further lines of the one above. */
function join(place: number): Promise<void> {
  const [above, below] = [items.value[place - 1], items.value[place]]
  if (!above || !below) return Promise.resolve()
  const [first, second] = [readingOf(above), readingOf(below)]
  const lines = [...first.lines, second.given, ...second.lines].filter(Boolean)
  return reread(place - 1, 2, [{ ...first, lines, notes: [...first.notes, ...second.notes] }])
}

const isSheet = computed(() => proof.value?.purpose === 'sheet')

function nameOf(place: number | undefined): string {
  return place === undefined ? '' : items.value[place]?.number || String(place + 1)
}

function toSet(): Promise<void> {
  return tried(async () => {
    const made = await result(api.POST('/api/proofs/{identity}/set', at.value))
    await router.push({ name: 'set', params: { id: made.set.id } })
  })
}

function print(): void {
  window.print()
}
</script>

<template>
  <main class="page">
    <header class="head no-print">
      <router-link :to="{ name: 'proofs' }">{{ words.proofs.back }}</router-link>
      <span class="gap" />
      <el-button v-if="errata" @click="errata = false">{{ words.proofs.backToReport }}</el-button>
      <template v-if="!errata && !isSheet">
        <el-button :disabled="!mendable.length" @click="accept(mendable)">
          {{ words.proofs.acceptAll }}
        </el-button>
        <el-button :disabled="!proof?.accepted.length" @click="errata = true">
          {{ words.proofs.errata }}
        </el-button>
        <a :href="`/api/proofs/${id}/key.txt`" download>{{ words.proofs.mended }}</a>
      </template>
      <el-button
        v-if="!errata"
        :type="isSheet ? 'primary' : undefined"
        :disabled="!items.length"
        @click="toSet"
        >{{ words.proofs.toSet }}</el-button
      >
      <el-button v-if="!isSheet" type="primary" :disabled="!items.length" @click="print">
        {{ errata ? words.proofs.printErrata : words.proofs.print }}
      </el-button>
    </header>
    <p v-if="refusal" role="alert" class="warm">
      {{ refusal }} <el-button @click="load">{{ words.show.again }}</el-button>
    </p>
    <ErrataSlip
      v-if="proof && errata"
      :title="proof.title || words.proofs.untitled"
      :items="items"
      :accepted="proof.accepted"
    />
    <template v-else-if="proof">
      <h1>{{ proof.title || words.proofs.untitled }}</h1>
      <JobProgress
        v-if="job && job.state !== 'done'"
        :job="job"
        :refusal="jobRefusal"
        @cancel="cancel"
      />
      <p v-else-if="!items.length" class="quiet">{{ words.proofs.nothing }}</p>
      <p v-else-if="isSheet" role="status">{{ words.proofs.lookOver(items.length) }}</p>
      <p v-else role="status">
        {{
          holding === items.length
            ? words.proofs.allHold
            : words.proofs.counts(holding, items.length)
        }}
        <label v-if="holding < items.length" class="no-print">
          <input v-model="only" type="checkbox" /> {{ words.proofs.only }}
        </label>
      </p>
      <ol>
        <ProofItem
          v-for="{ item, place } in shown"
          :key="`${place} ${item.given}`"
          :item="item"
          :place="place + 1"
          :repeated="nameOf(item.repeats?.of)"
          :accepted="proof.accepted.includes(place)"
          :is-sheet="isSheet"
          :busy="busy"
          @reread="(found) => reread(place, 1, found)"
          @join="join(place)"
          @update:accepted="(on) => toggle(place, on)"
        />
      </ol>
    </template>
  </main>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
[role='status'] label {
  margin-left: 1.2rem;
}
</style>
