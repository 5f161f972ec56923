<script setup lang="ts">
/** A set as it prints: the handout with room to answer, the short key, or the worked key. */
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { contentOf } from '@/example/content'
import { problemOf } from '@/example/problem'
import { givenStop, writtenStops } from '@/example/stops'
import { readable } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import PrintedPage from '@/shared/page/PrintedPage.vue'
import SpineLine from '@/spine/SpineLine.vue'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The set's id. */
  id: string
  /** What is printed. */
  what: 'handout' | 'short' | 'key'
}>()

/** A problem with its proved answer and lines; without them when it cannot be worked. */
interface Printed {
  item: Schemas['ItemOut']
  latex: string
  answer: string
  answerLatex: string
  room: number
  stops: StopLine[]
}

const set = ref<Schemas['SetOut'] | null>(null)
const printed = ref<Printed[]>([])
const refusal = ref('')

/** The teacher's own lines where they are right and finished, else the worked ones: never a wrong key. */
async function prepared(item: Schemas['ItemOut']): Promise<Printed> {
  const given = item.example.given ?? ''
  const found: Printed = { item, latex: '', answer: '', answerLatex: '', room: 4, stops: [] }
  const body = problemOf(contentOf(item.example))
  try {
    const [worked, own] = await Promise.all([
      result(api.POST('/api/algebra/work', { body: { ...body, lines: [] } })),
      result(api.POST('/api/algebra/check', { body })),
    ])
    const holds = own.answer.right && own.answer.finished && own.first_wrong === null
    const lines = holds ? body.lines : worked.lines.map((line) => line.text)
    const judged = holds
      ? own
      : await result(api.POST('/api/algebra/check', { body: { ...body, lines } }))
    found.latex = worked.reads.latex
    found.answer = worked.answer
    found.answerLatex = worked.lines.at(-1)?.latex ?? ''
    found.room = lines.length + 1
    found.stops = [givenStop(worked.reads, ''), ...writtenStops(judged.lines)]
  } catch (reason) {
    const isOurs = reason instanceof Refusal && reason.status >= 400 && reason.status < 500
    if (!isOurs) throw reason // a slow or stopped server: nothing is said of the problem
    found.answer = found.latex = ''
  }
  if (!found.latex) {
    const reads = await result(api.POST('/api/algebra/read', { body: { text: given } })).catch(
      () => null,
    )
    found.latex = reads?.latex ?? ''
  }
  return found
}

async function load(): Promise<void> {
  try {
    const path = { identity: props.id }
    set.value = await result(api.GET('/api/sets/{identity}', { params: { path } }))
    printed.value = await Promise.all(set.value.items.map(prepared))
    refusal.value = ''
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    refusal.value = reason.message
  }
}
watch(() => props.id, load, { immediate: true })

const total = computed(() => printed.value.reduce((sum, { item }) => sum + (item.marks ?? 0), 0))
</script>

<template>
  <PrintedPage
    :back="{ name: 'set', params: { id } }"
    :back-to="words.sets.back"
    :refusal="refusal"
    :ready="!!set && printed.length === set.items.length"
    :title="set?.title || words.sets.untitled"
    :data-what="what"
    @again="load"
  >
    <template #actions>
      <router-link
        v-for="kind in ['handout', 'short', 'key'] as const"
        :key="kind"
        :to="{ name: 'sheet', params: { id, what: kind } }"
        :aria-current="kind === what ? 'page' : undefined"
      >
        {{ words.sets[kind] }}
      </router-link>
    </template>
    <template #beside>
      <p class="name">{{ words.sets[what === 'handout' ? 'name' : what] }}</p>
    </template>
    <p v-if="set?.instruction">{{ set.instruction }}</p>
    <ol>
      <li
        v-for="({ item, latex, answer, answerLatex, room, stops }, index) in printed"
        :key="index"
      >
        <div class="posed">
          <span class="number">{{ index + 1 }}</span>
          <span class="task">{{ words.tasks[item.example.task] }}</span>
          <template v-if="what === 'key' && answer" />
          <MathText v-else-if="latex" :latex="latex" display />
          <code v-else>{{ item.example.given }}</code>
          <span v-if="item.marks" class="marks">({{ item.marks }})</span>
        </div>
        <div v-if="what === 'handout'" class="room" aria-hidden="true">
          <i v-for="line in room" :key="line" />
        </div>
        <p v-else-if="!answer" class="quiet">{{ words.sets.notWorked }}</p>
        <p v-else-if="what === 'short'" class="answer">
          <MathText v-if="answerLatex" :latex="answerLatex" display />
          <template v-else>{{ readable(answer) }}</template>
        </p>
        <div v-else class="spine" :class="{ hanging: !stops[0]?.sides?.left }">
          <SpineLine v-for="stop in stops" :key="stop.number" :line="stop" />
        </div>
      </li>
    </ol>
    <p v-if="total" class="marks">{{ words.sets.marks }}: {{ total }}</p>
  </PrintedPage>
</template>

<style scoped>
[aria-current] {
  font-weight: 700;
  text-decoration: none;
}
[data-what='handout'] .name::after {
  content: '';
  display: inline-block;
  width: 13rem;
  border-bottom: 1px solid currentColor;
  margin-left: 0.5rem;
}
.name {
  margin: 0;
  color: var(--quiet);
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  padding: 0.7rem 0;
  break-inside: avoid;
}
.posed {
  display: flex;
  gap: 0.8rem;
  align-items: baseline;
}
.number {
  font-weight: 700;
  min-width: 1.4rem;
}
.task {
  color: var(--quiet);
  font-size: 0.88rem;
  min-width: 4.4rem;
}
.marks {
  margin-left: auto;
  text-align: right;
  color: var(--quiet);
}
.room i {
  display: block;
  height: 2rem;
  border-bottom: 1px solid var(--rule);
}
.answer {
  margin: 0.3rem 0 0 7rem;
}
</style>
