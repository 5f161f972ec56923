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
/* the spine goes on at the left of those who leave it */
ul {
  position: relative;
  display: grid;
  grid-template-columns: var(--spine-columns);
  column-gap: var(--space-3);
  list-style: none;
  margin: 0;
  padding: 0 var(--space-2);
}
ul::before {
  content: '';
  grid-column: 3;
  grid-row: 1 / span 40;
  justify-self: center;
  border-left: 2px solid var(--ink);
}
li {
  position: relative;
  grid-column: 4 / -1;
  display: grid;
  grid-template-columns: 1.6rem minmax(0, 1fr);
  gap: 0 var(--space-2);
  align-items: center;
  padding: var(--space-2) 0;
  break-inside: avoid;
}
/* bends off the spine to its stop */
li::before {
  content: '';
  position: absolute;
  left: calc(0px - var(--space-3) - var(--spine-width) / 2);
  top: -0.3rem;
  width: calc(var(--space-3) + var(--spine-width) / 2);
  height: 1.7rem;
  border-left: 2px solid var(--leave-soft);
  border-bottom: 2px solid var(--leave-soft);
  border-bottom-left-radius: 1.1rem;
}
.small {
  position: relative;
  width: 1.5rem;
  height: 1.5rem;
}
.says {
  grid-column: 2;
  font-size: var(--type-note);
}
b {
  color: var(--leave);
}
</style>
