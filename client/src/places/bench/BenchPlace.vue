<script setup lang="ts">
/** The bench: pose, write, be judged; everything from the keyboard. */
import { useMediaQuery } from '@vueuse/core'
import { computed, defineAsyncComponent, ref, useTemplateRef } from 'vue'
import ConflictDialog from '@/shared/page/ConflictDialog.vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { toggleField } from '@/shared/composables/field'
import { useKeys } from '@/shared/composables/useKeys'
import { words } from '@/texts/en'
import BenchHeader, { type Way } from './BenchHeader.vue'
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
const problem = useTemplateRef<InstanceType<typeof BenchProblem>>('problem')
const side = useTemplateRef<InstanceType<typeof BenchSide>>('side')
const bench = useBenchPlace(
  () => props.id,
  () => spine.value?.toEntry(),
)
const { content, chosen, saving, judging, posing, ended, forking, sideWork, notOpened, working } =
  bench
const { checked, inspected, givenFailure } = judging
const lights = useLights(checked, chosen)
const comparing = ref(false)
/** With little room the panel lies over the foot, and is opened for it. */
const isNarrow = useMediaQuery('(max-width: 900px), (max-height: 560px)')
const sideOpen = ref(false)
const returning = ref(false)
const showsPose = computed(() => posing.value || !content.value.given || !!givenFailure.value)

function go(way: Way): void {
  if (way === 'versions') returning.value = true
  else if (way === 'fresh') bench.fresh()
  else void bench.leaveFor(way)
}

useKeys({
  'Ctrl+Z': bench.undo,
  'Ctrl+Y': bench.redo,
  'Ctrl+Shift+Z': bench.redo,
  'Alt+W': () => void bench.workIt(),
  'Alt+F': () => (forking.value = !forking.value),
  'Alt+B': () => (sideWork.value = !sideWork.value),
  'Alt+H': () => {
    sideOpen.value = true
    void side.value?.nextStep()
  },
  'Alt+T': () => problem.value?.toTask(),
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
      :state="saving.state.value"
      :can-undo="bench.canUndo.value"
      :can-redo="bench.canRedo.value"
      :can-work="!!inspected"
      :forking="forking"
      @forks="forking = !forking"
      @title="(text) => bench.change((next) => (next.title = text))"
      @work="bench.workIt()"
      @undo="bench.undo"
      @redo="bench.redo"
      @present="bench.leaveFor('show')"
      @go="go"
    />
    <main id="main" class="work" tabindex="-1">
      <FailureNote :message="notOpened" :final="bench.isGone.value" @again="bench.again" />
      <FailureNote :message="saving.refusal.value" @again="saving.save" />
      <FailureNote :message="working.refusal.value" @again="working.again" />
      <WaitFor v-if="!notOpened" :pending="bench.isOpening.value" failure="">
        <BenchProblem ref="problem" :bench="bench" :shows-pose="showsPose" />
        <BenchSpine ref="spine" :bench="bench" :lights="lights" :shows-pose="showsPose" />
      </WaitFor>
    </main>
    <BenchSide
      v-show="!isNarrow || sideOpen"
      ref="side"
      class="side no-print"
      :bench="bench"
      :lights="lights"
      :shows-pose="showsPose"
      @edit="(index) => spine?.edit(index)"
      @insert="(index) => spine?.insert(index)"
      @remove="(index) => spine?.remove(index)"
      @compare="comparing = true"
    />
    <OriginalCheck
      class="foot"
      :checked="checked"
      :content="content"
      :ended="ended"
      :folds="isNarrow"
    >
      <el-button v-if="isNarrow" :aria-expanded="sideOpen" @click="sideOpen = !sideOpen">
        {{ words.bench.details }}
      </el-button>
    </OriginalCheck>
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

<style scoped src="./bench-place.css"></style>
