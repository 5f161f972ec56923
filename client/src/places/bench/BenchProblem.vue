<script setup lang="ts">
/** The problem over the spine: being posed, or as it stands, with what is asked for. */
import AskedFor from './AskedFor.vue'
import GivenProblem from './GivenProblem.vue'
import PoseProblem from './PoseProblem.vue'
import type { BenchPlace } from './useBenchPlace'

const props = defineProps<{
  bench: BenchPlace
  /** Whether the problem is being posed. */
  showsPose: boolean
}>()
defineEmits<{ compare: [] }>()

const { content, posing, saving, judging } = props.bench
const { inspected } = judging
</script>

<template>
  <PoseProblem
    v-if="showsPose"
    :key="saving.id.value ?? 'new'"
    :given="content.given"
    @pose="bench.pose"
    @leave="posing = false"
  />
  <GivenProblem
    v-else-if="inspected"
    :inspected="inspected"
    @edit="posing = true"
    @work="bench.workIt"
    @compare="$emit('compare')"
  >
    <AskedFor
      :task="content.task"
      :unknown="content.variable || inspected.unknown || ''"
      :numbers="content.numbers"
      :form="content.form"
      :house="content.house"
      @change="(asked) => bench.change((next) => Object.assign(next, asked))"
    />
  </GivenProblem>
</template>
