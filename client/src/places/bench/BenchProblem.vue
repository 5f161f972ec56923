<script setup lang="ts">
/** The problem over the spine: being posed, or as it stands, with what is asked for. */
import { useTemplateRef } from 'vue'
import PoseProblem from './PoseProblem.vue'
import ProblemBar from './ProblemBar.vue'
import type { BenchPlace } from './useBenchPlace'

const props = defineProps<{
  bench: BenchPlace
  /** Whether the problem is being posed. */
  showsPose: boolean
}>()

const { content, posing, asks, saving, judging } = props.bench
const { inspected } = judging
const bar = useTemplateRef<InstanceType<typeof ProblemBar>>('bar')
defineExpose({ toTask: () => bar.value?.toTask() })
</script>

<template>
  <PoseProblem
    v-if="showsPose"
    :key="saving.id.value ?? 'new'"
    :given="content.given"
    @pose="bench.pose"
    @leave="posing = false"
  />
  <ProblemBar
    v-else
    ref="bar"
    :content="content"
    :inspected="inspected"
    :asks="asks"
    @edit="posing = true"
    @change="(asked) => bench.change((next) => Object.assign(next, asked))"
  />
</template>
