<script setup lang="ts">
/** The bench: pose, write, be judged; everything from the keyboard. */
import { ElMessage } from 'element-plus'
import 'element-plus/es/components/message/style/css'
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, Refusal, result } from '@/api/client'
import { toggleField } from '@/shared/composables/field'
import { useKeys } from '@/shared/composables/useKeys'
import { words } from '@/texts/en'
import AskedFor from './AskedFor.vue'
import BenchHeader from './BenchHeader.vue'
import CopyLine from './CopyLine.vue'
import EntryLine from './EntryLine.vue'
import GivenProblem from './GivenProblem.vue'
import LineList from './LineList.vue'
import NextStep from './NextStep.vue'
import OriginalCheck from './OriginalCheck.vue'
import PoseProblem from './PoseProblem.vue'
import StopDetails from './StopDetails.vue'
import { problemOf } from '@/example/problem'
import { useBench } from './useBench'
import { useForks, type Fork } from './useForks'
import { useLights } from './useLights'

const ComparePaths = defineAsyncComponent(() => import('./ComparePaths.vue'))
const EarlierVersions = defineAsyncComponent(() => import('./EarlierVersions.vue'))
const ProblemWeight = defineAsyncComponent(() => import('./ProblemWeight.vue'))
const FunctionStudy = defineAsyncComponent(() => import('./FunctionStudy.vue'))

const props = defineProps<{
  /** The example's id; `new` for a blank one; without it the last one opens. */
  id?: string
}>()

const router = useRouter()
const bench = useBench((id) => void router.replace({ name: 'bench', params: { id } }))
const { content, draft, chosen, editing, chosenLine, saving, judging } = bench
const { checked, inspected, givenFailure, failure, stops, draftStop, given } = judging
const lights = useLights(checked, chosen)
const posing = ref(false)
const ownReason = computed(() => content.value.reasons[chosenLine.value?.text ?? ''] ?? '')
const forking = ref(false)
const forkLooking = useForks(content, forking)
const { forks, after: forksAfter, refused: forksRefused, isLooking, wantsMore } = forkLooking
const comparing = ref(false)
const nextStep = ref<InstanceType<typeof NextStep> | null>(null)
const returning = ref(false)
const entry = ref<InstanceType<typeof EntryLine> | null>(null)
const list = ref<InstanceType<typeof LineList> | null>(null)

const showsPose = computed(() => posing.value || !content.value.given || !!givenFailure.value)
const chosenMark = computed(() =>
  chosen.value === null
    ? (draftStop.value?.mark ?? null)
    : (stops.value[chosen.value]?.mark ?? null),
)
const chosenNumber = computed(() => (chosen.value ?? content.value.lines.length) + 1)

async function open(id: string | undefined): Promise<void> {
  if (id && id === saving.id.value) return
  try {
    if (!id) {
      const last = (await result(api.GET('/api/examples')))[0]
      if (props.id) return // another one was opened meanwhile
      await router.replace({ name: 'bench', params: { id: last?.id ?? 'new' } })
      return
    }
    await bench.open(id === 'new' ? null : id)
    posing.value = false
  } catch (refusal) {
    tell(refusal)
    if (refusal instanceof Refusal && refusal.status === 404) {
      await router.replace({ name: 'examples' })
    }
  }
}

watch(() => props.id, open, { immediate: true })

function tell(refusal: unknown): void {
  if (!(refusal instanceof Refusal)) throw refusal
  ElMessage({ message: refusal.message, type: 'warning', duration: 6000, showClose: true })
}

function pose(text: string): void {
  posing.value = false
  judging.posed()
  bench.pose(text)
  void nextTick(() => entry.value?.focus())
}

async function workIt(method?: string): Promise<void> {
  try {
    await bench.workIt(method)
  } catch (refusal) {
    tell(refusal)
  }
}

function goOn(): void {
  chosen.value = editing.value = null
  void nextTick(() => entry.value?.focus())
}

function paste(lines: string[]): void {
  bench.addLines(lines)
  draft.value = ''
}

/** Cross a line out, or bring it back: it stays, thin and struck, and does not count. */
function cross(): void {
  const index = chosen.value ?? content.value.lines.length - 1
  const text = content.value.lines[index]
  if (text === undefined) return
  const struck = /^~~(.*)~~$/.exec(text)
  bench.editLine(index, struck?.[1] ?? `~~${text}~~`)
}

function toggleForks(): void {
  forking.value = !forking.value
}

async function carry(fork: Fork) {
  try {
    const body = { ...problemOf(content.value), wrong: fork.wrong }
    return (await result(api.POST('/api/algebra/fork', { body }))).path
  } catch (refusal) {
    tell(refusal)
    return null
  }
}

function fresh(): void {
  void router.push({ name: 'bench', params: { id: 'new' } })
}

/** Another view of this example, gone to as soon as everything written is stored. */
const leaving = ref<'show' | 'key' | null>(null)

function leaveFor(view: 'show' | 'key'): void {
  leaving.value = view
  saving.saveNow()
}

watch([leaving, saving.state, saving.id], ([view, state, id]) => {
  if (!view || state === 'saving' || state === 'waiting') return
  leaving.value = null
  if (state === 'saved' && id) void router.push({ name: view, params: { id } })
})

useKeys({
  'Ctrl+Z': bench.undo,
  'Ctrl+Y': bench.redo,
  'Ctrl+Shift+Z': bench.redo,
  'Alt+W': () => void workIt(),
  'Alt+F': toggleForks,
  'Alt+H': () => void nextStep.value?.deeper(),
  'Alt+M': toggleField,
  'Alt+X': cross,
  'Alt+G': () => (posing.value = true),
  'Alt+N': fresh,
  'Alt+P': () => leaveFor('key'),
  'Alt+S': () => leaveFor('show'),
})
</script>

<template>
  <div class="bench" :class="{ studied: content.task === 'study' }">
    <BenchHeader
      :key="content.task"
      :title="content.title"
      :task="content.task"
      :state="saving.state.value"
      :can-undo="bench.canUndo.value"
      :can-redo="bench.canRedo.value"
      :can-work="!!inspected"
      :forking="forking"
      @forks="toggleForks"
      @title="(text) => bench.change((next) => (next.title = text))"
      @task="(task) => bench.change((next) => (next.task = task))"
      @work="workIt()"
      @undo="bench.undo"
      @redo="bench.redo"
      @fresh="fresh"
      @print="leaveFor('key')"
      @present="leaveFor('show')"
    />
    <main class="work">
      <div class="problem">
        <PoseProblem
          v-if="showsPose"
          :key="saving.id.value ?? 'new'"
          :given="content.given"
          @pose="pose"
          @leave="posing = false"
        />
        <GivenProblem
          v-else-if="inspected"
          :inspected="inspected"
          @edit="posing = true"
          @work="workIt"
          @compare="comparing = true"
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
      </div>
      <p v-if="failure" class="away" role="alert">
        {{ failure.message }} <el-button @click="judging.again">{{ words.show.again }}</el-button>
      </p>
      <div v-if="!showsPose && given" class="spine" :class="{ hanging: !given.sides?.left }">
        <LineList
          ref="list"
          v-model:chosen="chosen"
          v-model:editing="editing"
          :given="given"
          :stops="stops"
          :texts="content.lines"
          :forks-after="forksAfter"
          :carry="carry"
          :lit="lights.litLines.value"
          @over="(index) => (lights.line.value = index)"
          @change="bench.editLine"
          @insert="bench.insertLine"
          @move="bench.moveLine"
          @remove="bench.removeLine"
          @leave="goOn"
        />
        <EntryLine
          v-if="editing === null"
          ref="entry"
          v-model="draft"
          :stop="draftStop"
          :number="content.lines.length + 1"
          :label="words.bench.entryLabel"
          @keep="bench.keepDraft"
          @paste="paste"
          @up="content.lines.length && list?.choose(content.lines.length - 1)"
          @leave="goOn"
        />
        <p v-if="forking" class="quiet first" role="status">
          <template v-if="forksRefused">{{ forksRefused }}</template>
          <template v-else-if="isLooking">{{ words.forks.looking }}</template>
          <template v-else-if="!forks.length">{{ words.forks.none }}</template>
          <el-button v-else-if="!wantsMore" @click="forkLooking.askForMore">
            {{ words.forks.more }}
          </el-button>
        </p>
        <p v-if="!content.lines.length && !draft" class="quiet first">
          {{ words.bench.noLinesSays }}
        </p>
      </div>
    </main>
    <aside class="side" :aria-label="words.bench.details">
      <FunctionStudy
        v-if="content.task === 'study' && inspected"
        :given="content.given"
        :unknown="content.variable || inspected.unknown || ''"
        :lit="lights.litFeature.value"
        @point="(feature) => (lights.feature.value = feature)"
        @take="(text) => bench.change((next) => (next.given = text))"
      />
      <StopDetails
        :reason="ownReason"
        :line="chosenLine"
        :number="chosenNumber"
        :mark="chosenMark"
        :is-written="chosen !== null"
        @update:reason="bench.explain"
      />
      <template v-if="chosen !== null">
        <div class="actions">
          <el-button @click="list?.edit(chosen)">{{ words.bench.edit }}</el-button>
          <el-button @click="list?.insert(chosen)">{{ words.bench.insert }}</el-button>
          <el-button :title="'Alt+X'" @click="cross">{{ words.bench.cross }}</el-button>
          <el-button @click="list?.remove(chosen)">{{ words.bench.remove }}</el-button>
        </div>
        <CopyLine v-if="!chosenLine?.failure" :text="content.lines[chosen] ?? ''" />
      </template>
      <NextStep
        v-if="inspected && !showsPose"
        ref="nextStep"
        :content="content"
        @write="(text) => bench.addLines([text])"
      />
      <ProblemWeight v-if="inspected && !showsPose" :content="content" />
      <p class="versions">
        <button type="button" class="quiet-button" @click="returning = true">
          {{ words.versions.open }}
        </button>
      </p>
    </aside>
    <EarlierVersions
      :id="saving.id.value"
      v-model="returning"
      @back="(earlier) => bench.change((next) => Object.assign(next, earlier))"
    />
    <OriginalCheck class="foot" :checked="checked" :task="content.task" />
    <el-dialog v-model="comparing" :title="words.compare.title" width="58rem" destroy-on-close>
      <ComparePaths v-if="inspected" :content="content" :methods="inspected.methods" />
    </el-dialog>
    <el-dialog
      :model-value="saving.state.value === 'conflict'"
      :title="words.save.conflictTitle"
      :show-close="false"
      :close-on-click-modal="false"
      :close-on-press-escape="false"
      width="30rem"
    >
      <p>{{ words.save.conflictSays }}</p>
      <template #footer>
        <el-button @click="bench.settle(false)">{{ words.save.theirs }}</el-button>
        <el-button type="primary" @click="bench.settle(true)">{{ words.save.mine }}</el-button>
      </template>
    </el-dialog>
  </div>
</template>

<style scoped>
.bench {
  display: grid;
  grid-template:
    'head head' auto 'work side' minmax(0, 1fr) 'foot foot' auto / minmax(0, 1fr)
    19rem;
  height: 100vh;
}
.bench > :deep(.head) {
  grid-area: head;
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
  padding: 1rem 1.5rem 2rem;
}
.side {
  grid-area: side;
  overflow-y: auto;
  border-left: 1px solid var(--rule);
  background: var(--sheet);
  padding: 1rem 1.2rem;
}
.foot {
  grid-area: foot;
  max-height: 34vh;
  overflow-y: auto;
}
.spine {
  margin-top: 1rem;
}
.first {
  padding-left: 2.6rem;
}
.away {
  color: var(--leave);
  font-weight: 700;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  margin-top: 1rem;
}
.actions .el-button + .el-button {
  margin-left: 0;
}
</style>
