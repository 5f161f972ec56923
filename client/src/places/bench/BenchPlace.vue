<script setup lang="ts">
/** The bench: pose, write, be judged; everything from the keyboard. */
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue'
import ConflictDialog from '@/shared/page/ConflictDialog.vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import { toggleField } from '@/shared/composables/field'
import { useKeys } from '@/shared/composables/useKeys'
import { words } from '@/texts/en'
import BenchHeader from './BenchHeader.vue'
import BenchProblem from './BenchProblem.vue'
import BenchSide from './BenchSide.vue'
import BenchSpine from './BenchSpine.vue'
import OriginalCheck from './OriginalCheck.vue'
import { useBenchPlace } from './useBenchPlace'
import { useLights } from './useLights'

const ComparePaths = defineAsyncComponent(() => import('./ComparePaths.vue'))
const EarlierVersions = defineAsyncComponent(() => import('./EarlierVersions.vue'))

const props = defineProps<{
  /** The example's id; `new` for a blank one; without it the last one opens. */
  id?: string
}>()

const spine = useTemplateRef<InstanceType<typeof BenchSpine>>('spine')
const side = useTemplateRef<InstanceType<typeof BenchSide>>('side')
const bench = useBenchPlace(
  () => props.id,
  () => spine.value?.toEntry(),
)
const { content, chosen, saving, judging, posing, forking, notOpened, working } = bench
const { checked, inspected, givenFailure } = judging
const lights = useLights(checked, chosen)
const comparing = ref(false)
const returning = ref(false)
const showsPose = computed(() => posing.value || !content.value.given || !!givenFailure.value)

useKeys({
  'Ctrl+Z': bench.undo,
  'Ctrl+Y': bench.redo,
  'Ctrl+Shift+Z': bench.redo,
  'Alt+W': () => void bench.workIt(),
  'Alt+F': () => (forking.value = !forking.value),
  'Alt+H': () => void side.value?.nextStep(),
  'Alt+M': toggleField,
  'Alt+X': bench.cross,
  'Alt+G': () => (posing.value = true),
  'Alt+N': bench.fresh,
  'Alt+P': () => void bench.leaveFor('key'),
  'Alt+S': () => void bench.leaveFor('show'),
})
</script>

<template>
  <div class="bench" :class="{ studied: content.task === 'study' }">
    <BenchHeader
      class="over"
      :title="content.title"
      :task="content.task"
      :state="saving.state.value"
      :can-undo="bench.canUndo.value"
      :can-redo="bench.canRedo.value"
      :can-work="!!inspected"
      :forking="forking"
      @forks="forking = !forking"
      @title="(text) => bench.change((next) => (next.title = text))"
      @task="(task) => bench.change((next) => (next.task = task))"
      @work="bench.workIt()"
      @undo="bench.undo"
      @redo="bench.redo"
      @fresh="bench.fresh"
      @print="bench.leaveFor('key')"
      @present="bench.leaveFor('show')"
    />
    <main id="main" class="work" tabindex="-1">
      <FailureNote :message="notOpened" :final="bench.isGone.value" @again="bench.again" />
      <FailureNote :message="saving.refusal.value" @again="saving.save" />
      <FailureNote :message="working.refusal.value" @again="working.again" />
      <BenchProblem :bench="bench" :shows-pose="showsPose" @compare="comparing = true" />
      <BenchSpine ref="spine" :bench="bench" :lights="lights" :shows-pose="showsPose" />
    </main>
    <BenchSide
      ref="side"
      class="side"
      :bench="bench"
      :lights="lights"
      :shows-pose="showsPose"
      @edit="(index) => spine?.edit(index)"
      @insert="(index) => spine?.insert(index)"
      @remove="(index) => spine?.remove(index)"
      @versions="returning = true"
    />
    <OriginalCheck class="foot" :checked="checked" :task="content.task" />
    <EarlierVersions
      :id="saving.id.value"
      v-model="returning"
      @back="(earlier) => bench.change((next) => Object.assign(next, earlier))"
    />
    <el-dialog
      v-model="comparing"
      :title="words.compare.title"
      width="min(96vw, 78rem)"
      destroy-on-close
    >
      <ComparePaths v-if="inspected" :content="content" :methods="inspected.methods" />
    </el-dialog>
    <ConflictDialog :open="saving.state.value === 'conflict'" @settle="bench.settle" />
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template:
    'over over' auto 'work side' minmax(0, 1fr) 'foot foot' auto / minmax(0, 1fr)
    19rem;
  height: 100vh;
}
.over {
  grid-area: over;
}
.studied {
  grid-template-columns: minmax(0, 1fr) 27rem;
}
@media (max-width: 1150px) {
  .bench {
    grid-template-columns: minmax(0, 1fr) 15rem;
  }
  .bench.studied {
    grid-template-columns: minmax(0, 1fr) 19rem;
  }
}
.work {
  grid-area: work;
  overflow-y: auto;
  padding: var(--space-4) var(--space-6) var(--space-6);
}
.side {
  grid-area: side;
}
.foot {
  grid-area: foot;
  max-height: 34vh;
  overflow-y: auto;
}
</style>
