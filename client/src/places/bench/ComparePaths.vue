<script setup lang="ts">
/** One problem, two methods side by side: where they part and meet, which has smaller numbers. */
import { computed, reactive, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { givenStop } from '@/example/stops'
import { methodName } from '@/shared/logic/readable'
import SpineLine from '@/spine/SpineLine.vue'
import { divisions } from '@/spine/tracks'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'
import type { Content } from '@/example/content'

const props = defineProps<{
  content: Content
  /** Methods that apply, the default first; at least two. */
  methods: Schemas['Inspected']['methods']
}>()

const chosen = reactive<[string, string]>([
  props.methods[0]?.method ?? '',
  props.methods[1]?.method ?? '',
])
const found = ref<Schemas['Compared'] | null>(null)
const refused = ref('')

watch(
  () => [...chosen] as [string, string],
  async ([one, other]) => {
    const { task, given, form, numbers, variable } = props.content
    const methods: [string, string] = [one, other]
    const body = { task, given, form, numbers, lines: [], variable: variable || null, methods }
    try {
      const answer = await result(api.POST('/api/algebra/compare', { body }))
      if (one !== chosen[0] || other !== chosen[1]) return
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

/** Each path as stops on a spine of its own, under the given. */
const spines = computed(() => {
  const answer = found.value
  if (!answer) return []
  return answer.paths.map(({ lines }) => {
    const stops: StopLine[] = lines.map(({ text, sides, spoken, says, parts }, index) => ({
      ...{ number: index + 1, text, mark: 'ok', sides, spoken, words: says ?? '' },
      pieces: parts ?? [],
    }))
    const all = [givenStop(answer.reads, ''), ...stops]
    return { stops: all, divided: divisions(all) }
  })
})

/** What is to be noticed at line `number` of a path: as on the other, or where they come together. */
function shared(side: 0 | 1, number: number): string | undefined {
  const answer = found.value
  if (!answer || !number) return undefined
  if (answer.meet?.[side] === number) return 'meet'
  return number <= answer.same_until ? 'same' : undefined
}

const says = computed(() => {
  const answer = found.value
  if (!answer) return []
  const text = words.compare
  if (answer.paths.every(({ lines }) => lines.length === answer.same_until)) return [text.allSame]
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
    <p v-if="refused" class="u-warm" role="alert">{{ refused }}</p>
    <ul v-if="found" class="says">
      <li v-for="sentence in says" :key="sentence">{{ sentence }}</li>
    </ul>
    <div class="paths">
      <section v-for="side in [0, 1] as const" :key="side">
        <el-select v-model="chosen[side]" :aria-label="words.compare.method(side + 1)">
          <el-option
            v-for="item in methods"
            :key="item.method"
            :value="item.method"
            :label="methodName(item.method)"
          />
        </el-select>
        <ol v-if="spines[side]" class="u-spine" :aria-label="methodName(chosen[side])">
          <li
            v-for="(stop, index) in spines[side].stops"
            :key="index"
            :data-shared="shared(side, index)"
          >
            <SpineLine :line="stop" :division="spines[side].divided[index]" />
          </li>
        </ol>
        <p v-if="found" class="u-quiet">
          {{ weighs(side) }}
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped src="./compare-paths.css"></style>
