<script setup lang="ts">
/** The worked example with all papers on it: who passed, who left where by which error, who came otherwise. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import SpineLine from '@/spine/SpineLine.vue'
import { divisions } from '@/spine/tracks'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'
import SpineLeaving from './SpineLeaving.vue'

const props = defineProps<{
  spine: Schemas['SpineOut']
  /** The code of each student. */
  codeOf: (student: number) => string
  showsCodes: boolean
  busy: boolean
}>()
defineEmits<{ name: [line: string, name: string] }>()

const marked = computed(() => props.spine.of - props.spine.waiting)
const stops = computed<StopLine[]>(() =>
  props.spine.stops.map(({ text, sides, spoken, passed }, number, all) => ({
    ...{ number, text, sides, spoken, mark: number ? ('ok' as const) : ('given' as const) },
    words:
      number === 0
        ? ''
        : number === all.length - 1
          ? words.passing.arrived(props.spine.arrived.length, marked.value)
          : words.passing.passed(passed, marked.value),
  })),
)
const divided = computed(() => divisions(stops.value))
const at = (after: number, listed: Schemas['SpineLeaving'][]) =>
  listed.filter((one) => one.after === after)
const codes = (students: readonly number[]) =>
  props.showsCodes ? students.map(props.codeOf).join(', ') : ''
const beside = computed(() => {
  const { others, luck, undecided, waiting } = props.spine
  return [
    others.length ? [words.passing.others(others.length), codes(others)] : [],
    luck.length ? [words.passing.luck(luck.length), codes(luck)] : [],
    undecided.length ? [words.passing.undecided(undecided.length), codes(undecided)] : [],
    waiting ? [words.passing.waiting(waiting), ''] : [],
  ].filter((one) => one.length)
})
</script>

<template>
  <section>
    <p v-if="!spine.of" class="u-quiet">{{ words.passing.nobody }}</p>
    <div class="u-spine" :class="{ hanging: !stops[0]?.sides?.left }">
      <div v-for="(stop, index) in stops" :key="index">
        <SpineLine :line="stop" :division="divided[index]" />
        <ul
          v-if="
            [...spine.leavings, ...spine.unexplained, ...spine.stopped].some(
              (one) => one.after === index,
            )
          "
        >
          <SpineLeaving
            v-for="one in at(index, spine.leavings)"
            :key="one.error"
            :leaving="one"
            :says="words.passing.left(one.students.length, marked)"
            :codes="codes(one.students)"
            mark="wrong"
            :busy="busy"
          />
          <SpineLeaving
            v-for="one in at(index, spine.unexplained)"
            :key="one.line.text"
            :leaving="one"
            :says="words.passing.unexplained(one.students.length)"
            :codes="codes(one.students)"
            mark="wrong"
            nameless
            :busy="busy"
            @name="(name) => $emit('name', one.line.text, name)"
          />
          <SpineLeaving
            v-for="one in at(index, spine.stopped)"
            :key="`stopped ${one.line.text}`"
            :leaving="one"
            :says="words.passing.stopped(one.students.length)"
            :codes="codes(one.students)"
            mark="unfinished"
            :busy="busy"
          />
        </ul>
      </div>
    </div>
    <p v-for="[says, who] in beside" :key="says">
      {{ says }}<span v-if="who" class="u-quiet">: {{ who }}</span>
    </p>
  </section>
</template>

<style scoped>
p {
  margin: var(--space-2) 0;
}
</style>
<style scoped src="@/answers/leaving-list.css"></style>
