<script setup lang="ts">
/** The groups of equal answers, the largest first: how many, where they stand, by which error. */
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import Stop from '@/spine/Stop.vue'
import type { Mark } from '@/spine/types'
import type { Group } from './leavings'

defineProps<{
  groups: readonly Group[]
  /** How many answers there are. */
  of: number
  /** The codes of members; null where they are not shown. */
  codesOf: ((members: readonly number[]) => string[]) | null
  /** The problem as typed. */
  given: string
}>()

const MARKS: Record<Group['where'], Mark> = {
  right: 'ok',
  unfinished: 'unfinished',
  fork: 'wrong',
  unexplained: 'unproved',
  unreadable: 'unreadable',
  blank: 'waiting',
}

function names(group: Group): string {
  return group.errors
    .map(({ name, also_name }) =>
      also_name ? `${name} ${words.answers.thenAlso} ${also_name}` : name,
    )
    .join(` ${words.answers.orElse} `)
}
</script>

<template>
  <section class="groups">
    <h2>{{ words.answers.groups }}</h2>
    <ol>
      <li v-for="group in groups" :key="group.members[0]" :data-where="group.where">
        <Stop class="small" sign="" :mark="MARKS[group.where]" />
        <span class="value">
          <MathText v-if="group.latex" :latex="group.latex" :spoken="group.spoken" />
          <i v-else>{{ group.value || words.answers.blank }}</i>
        </span>
        <span class="bar" aria-hidden="true">
          <span :style="{ width: `${(100 * group.members.length) / of}%` }" />
        </span>
        <b>{{ words.answers.people(group.members.length, of) }}</b>
        <span class="says">
          <template v-if="group.errors.length">{{ names(group) }}</template>
          <template v-else>{{ words.answers.where[group.where] }}&ensp;</template>
          <router-link
            v-if="group.where === 'unexplained'"
            class="no-print"
            :to="{ name: 'errors', query: { before: given, after: group.value } }"
          >
            {{ words.answers.name }}
          </router-link>
          <small v-if="codesOf" class="u-quiet">{{ codesOf(group.members).join(', ') }}</small>
        </span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 1.6rem minmax(4rem, 10rem) 3rem 4.5rem minmax(0, 1fr);
  gap: var(--space-2) var(--space-3);
  align-items: center;
  padding: var(--space-2) 0;
  border-bottom: 1px solid var(--rule);
  break-inside: avoid;
}
.small {
  width: 1.4rem;
  height: 1.4rem;
}
.value {
  overflow-x: auto;
  overflow-y: hidden;
}
.bar span {
  display: block;
  height: 0.7rem;
  min-width: 2px;
  border: 2px solid var(--ink);
  border-radius: 2px;
}
[data-where='right'] .bar span {
  background: var(--ink);
}
[data-where='fork'] .bar span {
  border-color: var(--leave);
}
.says small {
  display: block;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: 1.6rem minmax(0, 1fr) 4.5rem;
  }
  .bar {
    display: none;
  }
  .says {
    grid-column: 2 / -1;
  }
}
</style>
