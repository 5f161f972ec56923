<script setup lang="ts">
/** One problem, two methods side by side: where they part and meet, which has smaller numbers. */
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import { methodName } from '@/shared/logic/readable'
import { words } from '@/texts/en'
import type { Content } from '@/example/content'

const props = defineProps<{
  content: Content
  /** Methods that apply, the default first; at least two. */
  methods: Schemas['Inspected']['methods']
}>()

const first = ref(props.methods[0]?.method ?? '')
const second = ref(props.methods[1]?.method ?? '')
const found = ref<Schemas['Compared'] | null>(null)
const refused = ref('')

watch(
  [first, second],
  async ([one, other]) => {
    const { task, given, form, numbers, variable } = props.content
    const methods: [string, string] = [one, other]
    const body = { task, given, form, numbers, lines: [], variable: variable || null, methods }
    try {
      const answer = await result(api.POST('/api/algebra/compare', { body }))
      if (one !== first.value || other !== second.value) return
      found.value = answer
      refused.value = ''
    } catch (refusal) {
      if (!(refusal instanceof Refusal)) throw refusal
      refused.value = refusal.message
    }
  },
  { immediate: true },
)

function weighs(side: 0 | 1): string {
  const path = found.value?.paths[side]
  return path ? words.compare.weighs(path.largest, path.with_fractions) : ''
}

const says = computed(() => {
  const answer = found.value
  if (!answer) return []
  const text = words.compare
  return [
    answer.same_until ? text.same(answer.same_until) : text.partAtOnce,
    answer.meet ? text.meet(answer.meet[0] ?? 0, answer.meet[1] ?? 0) : text.neverMeet,
    answer.shorter ? text.shorter(methodName(answer.shorter)) : text.sameLength,
    answer.smaller ? text.smaller(methodName(answer.smaller)) : '',
    answer.fewer_fractions ? text.fewer(methodName(answer.fewer_fractions)) : '',
  ].filter(Boolean)
})
</script>

<template>
  <div class="compare">
    <p v-if="refused" class="warm" role="alert">{{ refused }}</p>
    <ul v-if="found" class="says">
      <li v-for="sentence in says" :key="sentence">{{ sentence }}</li>
    </ul>
    <div class="paths">
      <section v-for="side in [0, 1] as const" :key="side">
        <label>
          <span class="unseen">{{ words.compare.method(side + 1) }}</span>
          <select v-if="side === 0" v-model="first">
            <option v-for="item in methods" :key="item.method" :value="item.method">
              {{ methodName(item.method) }}
            </option>
          </select>
          <select v-else v-model="second">
            <option v-for="item in methods" :key="item.method" :value="item.method">
              {{ methodName(item.method) }}
            </option>
          </select>
        </label>
        <ol v-if="found">
          <li
            v-for="(line, index) in found.paths[side]?.lines"
            :key="index"
            :class="{
              same: index < found.same_until,
              meet: found.meet && index + 1 === found.meet[side],
            }"
          >
            <MathText :latex="line.latex" :spoken="line.spoken" display />
            <small><SentenceText :text="line.says" :pieces="line.parts" /></small>
          </li>
        </ol>
        <p v-if="found" class="quiet">
          {{ weighs(side) }}
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.says {
  margin: 0 0 0.8rem;
  padding: 0;
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 1.4rem;
}
.paths {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 1.6rem;
  max-height: 60vh;
  overflow-y: auto;
}
select {
  width: 100%;
  padding: 0.35rem 0.4rem;
  border: 1px solid var(--edge);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--text);
  font-size: 0.95rem;
}
ol {
  margin: 0.6rem 0;
  padding: 0 0 0 1.5rem;
}
li {
  padding: 0.25rem 0.5rem;
  border-left: 2px solid var(--rule);
}
.says li {
  border: 0;
  padding: 0;
}
li.same {
  border-left-color: var(--ink);
}
li.meet {
  border-left: 4px double var(--ink);
  background: var(--lit);
}
small {
  display: block;
  color: var(--quiet);
}
</style>
