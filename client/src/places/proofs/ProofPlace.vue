<script setup lang="ts">
/** The report on a key: item by item, corrections accepted one by one or all, printed, made a set. */
import { computed, ref } from 'vue'
import JobProgress from '@/jobs/JobProgress.vue'
import { useJob } from '@/jobs/useJob'
import { useGoOn } from '@/shared/composables/useGoOn'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import ErrataSlip from './ErrataSlip.vue'
import ProofItem from './ProofItem.vue'
import ProofWays from './ProofWays.vue'
import { useProof } from './useProof'

const props = defineProps<{
  /** The proofed key's id. */
  id: string
}>()

const goOn = useGoOn()
const {
  proof,
  items,
  mendable,
  busy,
  refusal,
  again,
  load,
  accept,
  toggle,
  reread,
  join,
  ...more
} = useProof(() => props.id)
const only = ref(false)
const errata = ref(false)
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
const shown = computed(() =>
  items.value
    .map((item, place) => ({ item, place }))
    .filter(({ item }) => !only.value || item.status !== 'holds'),
)
const holding = computed(() => items.value.filter((item) => item.status === 'holds').length)
const isSheet = computed(() => proof.value?.purpose === 'sheet')

function nameOf(place: number | undefined): string {
  return place === undefined ? '' : items.value[place]?.number || String(place + 1)
}

async function toSet(): Promise<void> {
  const made = await more.toSet()
  if (made) await goOn({ name: 'set', params: { id: made } })
}
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <ProofWays
      :id="id"
      v-model:errata="errata"
      :is-sheet="isSheet"
      :has-items="!!items.length"
      :can-accept="!!mendable.length"
      :can-print-errata="!!proof?.accepted.length"
      @accept="accept(mendable)"
      @to-set="toSet"
    />
    <WaitFor :pending="!proof" :failure="refusal" @again="again" />
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
      <p v-else-if="!items.length" class="u-quiet">{{ words.proofs.nothing }}</p>
      <p v-else-if="isSheet" role="status">{{ words.proofs.lookOver(items.length) }}</p>
      <p v-else role="status">
        {{
          holding === items.length
            ? words.proofs.allHold
            : words.proofs.counts(holding, items.length)
        }}
        <el-checkbox v-if="holding < items.length" v-model="only" class="no-print">
          {{ words.proofs.only }}
        </el-checkbox>
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
[role='status'] .el-checkbox {
  margin-left: var(--space-5);
}
</style>
