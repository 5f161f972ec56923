<script setup lang="ts">
/** The worked example with the class on it: at each line how many left there, by which error, to which line. */
import { computed } from 'vue'
import MathText from '@/shared/math/MathText.vue'
import SpineLine from '@/spine/SpineLine.vue'
import Stop from '@/spine/Stop.vue'
import { divisions } from '@/spine/tracks'
import type { StopLine } from '@/spine/types'
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'
import { methodName } from '@/shared/logic/readable'
import { leavings, type Group, type Leaving } from './leavings'

const props = defineProps<{
  lines: readonly Schemas['Reading'][]
  /** On which written line each stands. */
  numbers: readonly number[]
  groups: readonly Group[]
  of: number
}>()

const stops = computed<StopLine[]>(() =>
  props.lines.map(({ text, sides, spoken }, number) => ({
    ...{ number, text, sides, spoken, mark: number ? 'ok' : 'given' },
    words: number === props.lines.length - 1 && right.value ? end.value : '',
  })),
)
const right = computed(
  () => props.groups.find((group) => group.where === 'right')?.members.length ?? 0,
)
const end = computed(() => words.answers.atEnd(right.value, props.of))
const left = computed(() => leavings(props.groups))
const elsewhere = computed(() => leavings(props.groups, 'others'))

function errorOf({ name, also_name }: Leaving['error']): string {
  return also_name ? `${name} ${words.answers.thenAlso} ${also_name}` : name
}
const leftAfter = (index: number) => left.value.filter((one) => one.after === props.numbers[index])
const divided = computed(() => divisions(stops.value))
</script>

<template>
  <section class="class">
    <p v-if="lines.length < 2" class="u-quiet">{{ words.answers.noLines }}</p>
    <div class="u-spine" :class="{ hanging: !stops[0]?.sides?.left }">
      <div v-for="(stop, index) in stops" :key="index">
        <SpineLine :line="stop" :division="divided[index]" />
        <ul v-if="leftAfter(index).length">
          <li v-for="one in leftAfter(index)" :key="one.error.id + one.group.value">
            <Stop class="small" sign="≠" mark="wrong" mute />
            <MathText :latex="one.error.wrong_latex" />
            <span class="says">
              <b>{{
                (one.only ? words.answers.leftHere : words.answers.mayHaveLeft)(one.count, of)
              }}</b>
              {{ errorOf(one.error) }} →
              <MathText :latex="one.group.latex" :spoken="one.group.spoken" />
            </span>
          </li>
        </ul>
      </div>
    </div>
    <template v-if="elsewhere.length">
      <h3>{{ words.answers.otherWays }}</h3>
      <p v-for="one in elsewhere" :key="one.error.id + one.group.value">
        <b>{{ words.answers.people(one.count, of) }}</b>
        {{ methodName(one.error.method ?? '') }}: <MathText :latex="one.error.wrong_latex" />,
        {{ errorOf(one.error) }} → <MathText :latex="one.group.latex" :spoken="one.group.spoken" />
      </p>
    </template>
  </section>
</template>

<style scoped>
.class {
  border-top: 1px solid var(--rule);
  padding-top: var(--space-4);
}
h3 {
  margin: var(--space-4) 0 var(--space-2);
  font-size: var(--type-body);
}
p {
  margin: 0 0 var(--space-2);
}
b {
  color: var(--leave);
}
</style>
<style scoped src="./leaving-list.css"></style>
<style scoped src="./leaving.css"></style>
