<script setup lang="ts">
/** A set as a climb: its problems in order, each at its difficulty, with what it reveals. */
import { computed, nextTick, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import { useKeys } from '@/shared/composables/useKeys'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import { useSet } from './useSet'

const props = defineProps<{
  /** The set's id. */
  id: string
}>()

const set = useSet(() => props.id)
const { title, instruction, items, known, steps, refusal, state } = set
const chosen = ref<number | null>(null)
const adding = ref(false)
const wanted = ref('')
const examples = ref<Schemas['ExampleRow'][]>([])
const rows = ref<HTMLElement[]>([])

const hardest = computed(() => Math.max(1, ...steps.value.map((step) => step.score ?? 0)))
const knowledge = computed(() => {
  const item = chosen.value === null ? undefined : items.value[chosen.value]
  return item ? known.value[item.example.id] : undefined
})
const totals = computed(() =>
  words.sets.total(
    items.value.reduce((sum, item) => sum + (item.marks ?? 0), 0),
    items.value.reduce((sum, item) => sum + (item.minutes ?? 0), 0),
  ),
)
const covered = computed(() => {
  const counts = new Map<string, number>()
  for (const { example } of items.value)
    for (const error of known.value[example.id]?.screened?.reveals ?? [])
      counts.set(error.name, (counts.get(error.name) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1] || a[0].localeCompare(b[0]))
})
const offered = computed(() => {
  const inSet = new Set(items.value.map((item) => item.example.id))
  const text = wanted.value.toLowerCase()
  return examples.value.filter(
    (row) => !inSet.has(row.id) && `${row.title} ${row.given}`.toLowerCase().includes(text),
  )
})

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

async function openAdding(): Promise<void> {
  adding.value = true
  examples.value = await result(api.GET('/api/examples'))
}

function moveChosen(by: number): void {
  if (chosen.value === null) return
  chosen.value = set.move(chosen.value, by)
  void nextTick(() => rows.value[chosen.value ?? 0]?.focus())
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

useKeys({
  'Alt+ArrowUp': () => moveChosen(-1),
  'Alt+ArrowDown': () => moveChosen(1),
})
</script>

<template>
  <main class="set">
    <header class="head">
      <input
        v-model="title"
        class="title"
        maxlength="200"
        :aria-label="words.sets.titleLabel"
        :placeholder="words.sets.untitled"
      />
      <span class="quiet" role="status">{{ words.save[state] }} · {{ totals }}</span>
      <span class="gap" />
      <el-button :disabled="items.length < 2" @click="set.climb">{{ words.sets.climb }}</el-button>
      <router-link
        v-for="what in ['handout', 'short', 'key'] as const"
        :key="what"
        class="as-button"
        :to="{ name: 'sheet', params: { id, what } }"
      >
        {{ words.sets[what] }}
      </router-link>
      <el-button type="primary" @click="openAdding">{{ words.sets.add }}</el-button>
    </header>
    <div class="sheet">
      <p v-if="refusal" role="alert" class="warm">
        {{ refusal }}
        <el-button @click="state === 'conflict' ? set.takeTheirs() : set.load()">
          {{ state === 'conflict' ? words.save.theirs : words.show.again }}
        </el-button>
      </p>
      <label class="instruction">
        {{ words.sets.instruction }}
        <input
          v-model="instruction"
          class="typed"
          maxlength="2000"
          :placeholder="words.sets.instructionHint"
        />
      </label>
      <p v-if="!items.length" class="empty">{{ words.sets.empty }}</p>
      <div v-else class="climb">
        <ol>
          <li v-for="(item, index) in items" :key="item.example.id">
            <div
              :ref="(el) => el && (rows[index] = el as HTMLElement)"
              class="problem"
              role="button"
              tabindex="0"
              :aria-pressed="chosen === index"
              @click="chosen = index"
              @focus="chosen = index"
              @keydown.up.exact.prevent="choose(index - 1)"
              @keydown.down.exact.prevent="choose(index + 1)"
              @keydown.delete.prevent="remove(index)"
            >
              <span class="number">{{ index + 1 }}</span>
              <span class="given">
                <MathText
                  v-if="known[item.example.id]?.worked"
                  :latex="known[item.example.id]?.worked?.reads.latex ?? ''"
                  :spoken="known[item.example.id]?.worked?.reads.spoken"
                />
                <code v-else>{{ readable(item.example.given ?? '') }}</code>
                <small>{{ words.tasks[item.example.task] }} · {{ item.example.title }}</small>
              </span>
            </div>
            <span class="counts">
              <label>
                <span class="unseen">{{ words.sets.marks }}</span>
                <input
                  v-model.number="item.marks"
                  type="number"
                  min="0"
                  max="100"
                  :title="words.sets.marks"
                />
              </label>
              <label>
                <span class="unseen">{{ words.sets.minutes }}</span>
                <input
                  v-model.number="item.minutes"
                  type="number"
                  min="0"
                  max="600"
                  :title="words.sets.minutes"
                />
              </label>
            </span>
            <span class="height">
              <span
                class="dot"
                :style="{ left: `${across(index)}%` }"
                :data-unknown="steps[index]?.score === null"
              >
                <b>{{ steps[index]?.score ?? '?' }}</b>
              </span>
              <span
                class="said"
                :style="{ left: `${across(index)}%` }"
                :data-right="across(index) > 55"
              >
                <template v-if="steps[index]?.score === null">{{ words.sets.unknown }}</template>
                <b v-else-if="set.jumps.value.includes(index)">{{ words.sets.jump }}</b>
                <template v-if="set.repeats.value[index] !== null">
                  {{ words.sets.repeats((set.repeats.value[index] ?? 0) + 1) }}
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
    </div>
    <aside class="side">
      <template v-if="chosen !== null && items[chosen]">
        <h2>{{ words.sets.chosen(chosen + 1) }}</h2>
        <p v-if="knowledge?.refused" class="quiet">{{ knowledge.refused }}</p>
        <dl v-if="knowledge?.worked">
          <dt>{{ words.sets.answer }}</dt>
          <dd>{{ readable(knowledge.worked.answer) }}</dd>
          <dt>{{ words.sets.reasons }}</dt>
          <dd>
            <b>{{ knowledge.worked.difficulty.score }}</b>
            {{ knowledge.worked.difficulty.reasons.join(', ') }}
          </dd>
          <template v-if="knowledge.screened?.reveals.length">
            <dt>{{ words.sets.reveals }}</dt>
            <dd v-for="error in knowledge.screened.reveals" :key="error.error">{{ error.name }}</dd>
          </template>
          <template v-if="knowledge.screened?.hides.length">
            <dt class="warm">{{ words.sets.hides }}</dt>
            <dd v-for="error in knowledge.screened.hides" :key="error.error">{{ error.name }}</dd>
          </template>
        </dl>
        <p class="actions">
          <el-button :disabled="!chosen" @click="moveChosen(-1)">{{ words.sets.up }}</el-button>
          <el-button :disabled="chosen === items.length - 1" @click="moveChosen(1)">
            {{ words.sets.down }}
          </el-button>
          <el-button @click="remove(chosen)">{{ words.sets.remove }}</el-button>
          <router-link :to="{ name: 'bench', params: { id: items[chosen]?.example.id } }">
            {{ words.rail.bench }}
          </router-link>
        </p>
      </template>
      <p v-else class="quiet">{{ words.sets.chooseSays }}</p>
      <section class="covers">
        <h2>{{ words.sets.covers }}</h2>
        <p v-if="!covered.length" class="quiet">{{ words.sets.coversNone }}</p>
        <ul>
          <li v-for="[name, count] in covered" :key="name">
            {{ name }} <span class="quiet">{{ words.sets.times(count) }}</span>
          </li>
        </ul>
      </section>
    </aside>
    <el-dialog v-model="adding" :title="words.sets.addTitle" width="44rem">
      <input
        v-model="wanted"
        class="typed"
        type="search"
        :placeholder="words.examples.filter"
        :aria-label="words.examples.filter"
      />
      <p v-if="!offered.length" class="quiet">{{ words.sets.addNone }}</p>
      <ul class="offered">
        <li v-for="row in offered" :key="row.id">
          <button type="button" @click="set.add(row.id)">
            <b>{{ row.title || words.bench.untitled }}</b>
            <span class="quiet">{{ words.tasks[row.task] }}</span>
            <span>{{ readable(row.given) }}</span>
          </button>
        </li>
      </ul>
    </el-dialog>
  </main>
</template>

<style scoped src="./set.css"></style>
