<script setup lang="ts">
/** Beside the spine: about the chosen line, the next step, how hard the problem is. */
import { computed, defineAsyncComponent, useTemplateRef } from 'vue'
import { words } from '@/texts/en'
import CopyLine from './CopyLine.vue'
import NextStep from './NextStep.vue'
import StopDetails from './StopDetails.vue'
import type { BenchPlace } from './useBenchPlace'
import type { Lights } from './useLights'

const ProblemWeight = defineAsyncComponent(() => import('./ProblemWeight.vue'))
const FunctionStudy = defineAsyncComponent(() => import('./FunctionStudy.vue'))

const props = defineProps<{
  bench: BenchPlace
  lights: Lights
  /** Whether the problem is being posed. */
  showsPose: boolean
}>()
defineEmits<{
  edit: [index: number]
  insert: [index: number]
  remove: [index: number]
  versions: []
}>()

const { content, chosen, chosenLine, judging } = props.bench
const { inspected, stops, draftStop } = judging
const next = useTemplateRef<InstanceType<typeof NextStep>>('next')
const ownReason = computed(() => content.value.reasons[chosenLine.value?.text ?? ''] ?? '')
const chosenMark = computed(() =>
  chosen.value === null
    ? (draftStop.value?.mark ?? null)
    : (stops.value[chosen.value]?.mark ?? null),
)

defineExpose({ nextStep: () => next.value?.deeper() })
</script>

<template>
  <aside class="beside" :aria-label="words.bench.details">
    <FunctionStudy
      v-if="content.task === 'study' && inspected"
      :given="content.given"
      :unknown="content.variable || inspected.unknown || ''"
      :lit="lights.litFeature.value"
      @point="lights.point"
      @take="(text) => bench.change((next) => (next.given = text))"
    />
    <StopDetails
      :reason="ownReason"
      :line="chosenLine"
      :number="(chosen ?? content.lines.length) + 1"
      :mark="chosenMark"
      :is-written="chosen !== null"
      @update:reason="bench.explain"
    />
    <template v-if="chosen !== null">
      <div class="actions">
        <el-button @click="$emit('edit', chosen)">{{ words.bench.edit }}</el-button>
        <el-button @click="$emit('insert', chosen)">{{ words.bench.insert }}</el-button>
        <el-button title="Alt+X" @click="bench.cross">{{ words.bench.cross }}</el-button>
        <el-button @click="$emit('remove', chosen)">{{ words.bench.remove }}</el-button>
      </div>
      <CopyLine v-if="!chosenLine?.failure" :text="content.lines[chosen] ?? ''" />
    </template>
    <template v-if="inspected && !showsPose">
      <NextStep ref="next" :content="content" @write="(text) => bench.addLines([text])" />
      <ProblemWeight :content="content" />
    </template>
    <p>
      <el-button link type="primary" @click="$emit('versions')">{{
        words.versions.open
      }}</el-button>
    </p>
  </aside>
</template>

<style scoped>
.beside {
  overflow-y: auto;
  border-left: 1px solid var(--rule);
  background: var(--sheet);
  padding: var(--space-4) var(--space-5);
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  margin-top: var(--space-4);
}
.actions .el-button + .el-button {
  margin-left: 0;
}
</style>
