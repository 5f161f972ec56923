<script setup lang="ts">
/** A set as a climb: its problems in order, each at its difficulty, with what it reveals. */
import { computed, nextTick, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, Refusal, result, type Schemas } from '@/api/client'
import OwnRules from '@/example/OwnRules.vue'
import JobProgress from '@/jobs/JobProgress.vue'
import { useJob } from '@/jobs/useJob'
import { readable } from '@/shared/logic/readable'
import { useKeys } from '@/shared/composables/useKeys'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import AddProblems from './AddProblems.vue'
import CoverageTable from './CoverageTable.vue'
import ItemDetails, { type Likeness } from './ItemDetails.vue'
import { useSet } from './useSet'

const props = defineProps<{
  /** The set's id. */
  id: string
}>()

const router = useRouter()
const set = useSet(() => props.id)
const { title, instruction, house, form, items, facts, waiting, steps, refusal, state, opened } =
  set
const chosen = ref<number | null>(null)
const adding = ref(false)
const busy = ref(false)
const says = ref('')
const rows = ref<HTMLElement[]>([])
const dragged = ref<number | null>(null)
const begun = ref<Schemas['JobOut'] | null>(null)
const {
  job,
  refusal: jobRefusal,
  cancel,
  isOpen,
} = useJob(
  () => begun.value,
  ({ outcome }) => {
    const made = outcome as { sets: string[]; without_twin: number }
    says.value = words.sets.versionsMade(made.sets.length)
    if (made.without_twin) says.value += ` ${words.sets.withoutTwin(made.without_twin)}`
    void set.load()
  },
)

const hardest = computed(() => Math.max(1, ...steps.value.map((step) => step.score ?? 0)))
const picked = computed(() => (chosen.value === null ? undefined : items.value[chosen.value]))
const totals = computed(() =>
  words.sets.total(
    items.value.reduce((sum, item) => sum + (item.marks || 0), 0),
    items.value.reduce((sum, item) => sum + (item.minutes || 0), 0),
  ),
)

/** Where on the climb a problem stands, in per cent of its width. */
function across(index: number): number {
  return 4 + (92 * (steps.value[index]?.score ?? 0)) / hardest.value
}

const path = computed(() =>
  steps.value
    .map((step, index) => (step.score === null ? null : [across(index), index * 10 + 5]))
    .filter((point) => point !== null)
    .map(([x, y], n) => `${n ? 'L' : 'M'}${x} ${y}`)
    .join(' '),
)

async function tried(action: () => Promise<void>): Promise<void> {
  busy.value = true
  try {
    await action()
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    says.value = ''
    refusal.value = reason.message
  } finally {
    busy.value = false
  }
}

function moveChosen(by: number): void {
  if (chosen.value === null) return
  chosen.value = set.move(chosen.value, by)
  void nextTick(() => rows.value[chosen.value ?? 0]?.focus())
}

function dropOn(index: number): void {
  if (dragged.value !== null) chosen.value = set.move(dragged.value, index - dragged.value)
  dragged.value = null
}

function choose(index: number): void {
  if (index < 0 || index >= items.value.length) return
  chosen.value = index
  void nextTick(() => rows.value[index]?.focus())
}

function remove(index: number): void {
  set.remove(index)
  chosen.value = null
}

const at = computed(() => ({ params: { path: { identity: props.id } } }))

function more(count: number, kind: Likeness): Promise<void> {
  return tried(async () => {
    const example = picked.value?.example.id
    if (!example) return
    const seed = Math.floor(Math.random() * 1e6)
    const body = {
      example,
      count,
      climbs: kind === 'climbing',
      tempting: kind === 'tempting',
      seed,
    }
    const made = await set.changedBy(() =>
      result(api.POST('/api/sets/{identity}/twins', { ...at.value, body })),
    )
    says.value = [words.sets.made(made.added), ...made.refused].join(' ')
  })
}

/** Problems that are typed, or made to order, at the end of the set. */
async function make(
  body: { text: string } | Schemas['FamilyIn'],
): Promise<{ added: number; refused: string[] }> {
  if ('family' in body) {
    return set.changedBy(() =>
      result(api.POST('/api/sets/{identity}/family', { ...at.value, body })),
    )
  }
  return set.changedBy(() =>
    result(api.POST('/api/exchange/typed/{identity}', { ...at.value, body })),
  )
}

function versions(): Promise<void> {
  return tried(async () => {
    await set.save()
    const body = { count: 2, seed: Math.floor(Math.random() * 1e6) }
    begun.value = await result(api.POST('/api/sets/{identity}/versions', { ...at.value, body }))
  })
}

function copy(): Promise<void> {
  return tried(async () => {
    await set.save()
    const made = await result(api.POST('/api/sets/{identity}/copy', at.value))
    says.value = words.sets.copied
    await router.push({ name: 'set', params: { id: made.id } })
  })
}

useKeys({
  'Alt+ArrowUp': () => moveChosen(-1),
  'Alt+ArrowDown': () => moveChosen(1),
  'Alt+T': () => void more(1, 'twins'),
})
</script>

<template>
  <main class="set">
    <header class="head">
      <input
        v-model="title"
        class="title"
        maxlength="200"
        :disabled="!opened"
        :aria-label="words.sets.titleLabel"
        :placeholder="words.sets.untitled"
      />
      <span class="quiet" role="status">
        <template v-if="form">{{ words.sets.form(form) }} · </template>{{ words.save[state] }} ·
        {{ totals }}
      </span>
      <span class="gap" />
      <el-button :disabled="items.length < 2" @click="set.climb">{{ words.sets.climb }}</el-button>
      <el-button
        :disabled="!items.length || busy || isOpen"
        :title="words.sets.versionsSays(2)"
        @click="versions"
      >
        {{ words.sets.versions }}
      </el-button>
      <el-button :disabled="busy" @click="copy">{{ words.sets.copy }}</el-button>
      <router-link class="as-button" :to="{ name: 'sheet', params: { id, what: 'handout' } }">
        {{ words.sets.give }}
      </router-link>
      <el-button type="primary" :disabled="!opened" @click="adding = true">{{
        words.sets.add
      }}</el-button>
    </header>
    <div class="sheet">
      <p v-if="refusal" role="alert" class="warm">
        {{ refusal }}
        <el-button @click="state === 'conflict' ? set.takeTheirs() : set.load()">
          {{ state === 'conflict' ? words.save.theirs : words.show.again }}
        </el-button>
      </p>
      <JobProgress
        v-if="job && job.state !== 'done'"
        :job="job"
        :refusal="jobRefusal"
        @cancel="cancel"
      />
      <p v-if="says" role="status">{{ says }}</p>
      <label class="instruction">
        {{ words.sets.instruction }}
        <input
          v-model="instruction"
          class="typed"
          maxlength="2000"
          :disabled="!opened"
          :placeholder="words.sets.instructionHint"
        />
      </label>
      <details class="rules">
        <summary>{{ words.sets.house }}</summary>
        <OwnRules v-model="house" />
        <span class="quiet"> {{ words.sets.houseSays }}</span>
      </details>
      <p v-if="opened && !items.length" class="empty">{{ words.sets.empty }}</p>
      <div v-else-if="items.length" class="climb">
        <ol>
          <li v-for="(item, index) in items" :key="item.example.id">
            <div
              :ref="(el) => el && (rows[index] = el as HTMLElement)"
              class="problem"
              role="button"
              tabindex="0"
              draggable="true"
              :aria-pressed="chosen === index"
              @click="chosen = index"
              @focus="chosen = index"
              @dragstart="dragged = index"
              @dragover.prevent
              @drop.prevent="dropOn(index)"
              @keydown.up.exact.prevent="choose(index - 1)"
              @keydown.down.exact.prevent="choose(index + 1)"
              @keydown.delete.prevent="remove(index)"
            >
              <span class="number">{{ index + 1 }}</span>
              <span class="given">
                <MathText
                  v-if="facts[item.example.id]?.reads"
                  :latex="facts[item.example.id]?.reads?.latex ?? ''"
                  :spoken="facts[item.example.id]?.reads?.spoken"
                />
                <code v-else>{{ readable(item.example.given ?? '') }}</code>
                <small>
                  {{ item.instruction || words.tasks[item.example.task] }} ·
                  {{ item.example.title }}
                </small>
              </span>
            </div>
            <span class="counts">
              <label v-for="name in ['marks', 'minutes'] as const" :key="name">
                <span class="unseen">{{ words.sets[name] }}</span>
                <input
                  v-model.number="item[name]"
                  type="number"
                  min="0"
                  :max="name === 'marks' ? 100 : 600"
                  :title="words.sets[name]"
                />
              </label>
            </span>
            <span class="height">
              <span
                class="dot"
                :style="{ left: `${across(index)}%` }"
                :data-unknown="steps[index]?.score === null"
              >
                <b>{{ steps[index]?.score ?? (waiting[item.example.id] ? '…' : '?') }}</b>
              </span>
              <span
                class="said"
                :style="{ left: `${across(index)}%` }"
                :data-right="across(index) > 55"
              >
                <template v-if="waiting[item.example.id]">
                  {{ words.sets.waiting[waiting[item.example.id]!] }}
                </template>
                <template v-else-if="facts[item.example.id] && steps[index]?.score === null">
                  {{ words.sets.unknown }}
                </template>
                <b v-else-if="set.jumps.value.includes(index)">{{ words.sets.jump }}</b>
                <template v-if="set.repeats.value[index]">
                  {{
                    (set.repeats.value[index]?.how === 'same'
                      ? words.sets.same
                      : words.sets.repeats)((set.repeats.value[index]?.of ?? 0) + 1)
                  }}
                </template>
              </span>
            </span>
          </li>
        </ol>
        <svg
          class="line"
          :viewBox="`0 0 100 ${items.length * 10}`"
          preserveAspectRatio="none"
          aria-hidden="true"
        >
          <path :d="path" vector-effect="non-scaling-stroke" />
        </svg>
      </div>
      <p v-if="items.length" class="quiet keys">
        <span>{{ words.sets.keys }}</span>
        <span class="columns">{{ words.sets.marks }} · {{ words.sets.minutes }}</span>
        <span>{{ words.sets.harder }}</span>
      </p>
      <CoverageTable v-if="items.length" :facts="items.map((item) => facts[item.example.id])" />
    </div>
    <aside class="side" :aria-label="words.sets.details">
      <ItemDetails
        v-if="picked && chosen !== null"
        v-model:instruction="picked.instruction"
        :number="chosen + 1"
        :count="items.length"
        :example="picked.example.id"
        :facts="facts[picked.example.id]"
        :busy="busy"
        @move="moveChosen"
        @remove="remove(chosen)"
        @more="more"
      />
      <p v-else class="quiet">{{ words.sets.chooseSays }}</p>
    </aside>
    <AddProblems
      v-model="adding"
      :in-set="items.map((item) => item.example.id)"
      :make="make"
      @add="set.add"
    />
  </main>
</template>

<style scoped src="./set.css"></style>
