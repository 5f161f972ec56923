<script setup lang="ts">
/** Beside the spine: the next step, the line that is looked at, its forks, the problem. */
import { computed, defineAsyncComponent, useTemplateRef } from 'vue'
import ForkFan from '@/spine/ForkFan.vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import AboutProblem from './AboutProblem.vue'
import BesideLine from './BesideLine.vue'
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
  compare: []
}>()

const { content, chosen, shownLine, shownIndex, forkedAt, judging, forking, sideWork } = props.bench
const { inspected, stops, draftStop } = judging
const { forks, after, refused, isLooking, wantsMore, askForMore, again } = props.bench.forks
const next = useTemplateRef<InstanceType<typeof NextStep>>('next')
const ownReason = computed(() => content.value.reasons[shownLine.value?.text ?? ''] ?? '')
const mark = computed(() => (stops.value[shownIndex.value] ?? draftStop.value)?.mark ?? null)

const drawnLine = computed(() => props.bench.drawn.lines.value[(chosen.value ?? -1) + 1] ?? null)
/** What the hand marks at the chosen line, for who cannot see it. */
const drawnSays = computed(() => drawnLine.value?.says ?? '')

defineExpose({ nextStep: () => next.value?.deeper() })
</script>

<template>
  <aside class="beside" :aria-label="words.bench.details">
    <template v-if="inspected && !showsPose">
      <NextStep ref="next" :content="content" @write="(text) => bench.addLines([text])" />
      <FunctionStudy
        v-if="content.task === 'study'"
        :given="content.given"
        :unknown="content.variable || inspected.unknown || ''"
        :lit="lights.litFeature.value"
        @point="lights.point"
        @take="(text) => bench.change((now) => (now.given = text))"
      />
    </template>
    <section v-if="forking" class="forks" :aria-label="words.forks.showLong">
      <h2>{{ forkedAt ? words.forks.afterLine(forkedAt) : words.forks.afterGiven }}</h2>
      <FailureNote :message="refused" @again="again" />
      <ForkFan
        v-if="after(forkedAt).length"
        :forks="after(forkedAt)"
        :carry="bench.carry"
        :did="bench.did"
      />
      <p v-if="!refused" class="u-quiet" role="status">
        <template v-if="isLooking">{{ words.forks.looking }}</template>
        <template v-else-if="!forks.length">{{ words.forks.none }}</template>
        <template v-else>
          <span v-if="!after(forkedAt).length">{{ words.forks.noneHere }}</span>
          <el-button v-if="!wantsMore" size="small" @click="askForMore">
            {{ words.forks.more }}
          </el-button>
        </template>
      </p>
    </section>
    <StopDetails
      v-if="shownLine"
      :reason="ownReason"
      :line="shownLine"
      :number="shownIndex + 1"
      :mark="mark"
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
      <BesideLine
        v-model:open="sideWork"
        :content="content"
        :line="chosen + 1"
        @write="(lines) => bench.writeBeside(lines)"
      />
      <p v-if="drawnSays" class="u-unseen">{{ drawnSays }}</p>
      <CopyLine v-if="!shownLine?.failure" :text="content.lines[chosen] ?? ''" :drawn="drawnLine" />
    </template>
    <template v-if="inspected && !showsPose">
      <AboutProblem :inspected="inspected" @work="bench.workIt" @compare="$emit('compare')" />
      <ProblemWeight :content="content" />
    </template>
  </aside>
</template>

<style scoped>
.beside {
  display: flex;
  flex-direction: column;
  overflow-y: auto;
  border-left: 1px solid var(--rule);
  background: var(--sheet);
  padding: 0 var(--space-5) var(--space-4);
}
.beside > * {
  margin: 0;
  padding: var(--space-4) 0;
}
.beside > * + * {
  border-top: 1px solid var(--rule);
}
/* the next step is always in sight, and under the pointer where it was */
.beside > :deep(.next) {
  position: sticky;
  top: 0;
  z-index: 3;
  background: var(--sheet);
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
}
.beside > .actions {
  border-top: 0;
  padding-top: 0;
}
.actions .el-button + .el-button {
  margin-left: 0;
}
.forks h2 {
  margin-bottom: var(--space-3);
}
</style>
