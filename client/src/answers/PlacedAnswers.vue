<script setup lang="ts">
/** Answers placed: their groups, what to say next, and the worked example with the class on it. */
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'
import AnswerGroups from './AnswerGroups.vue'
import ClassSpine from './ClassSpine.vue'
import SayNext from './SayNext.vue'

const props = defineProps<{
  placed: Schemas['Placed']
  /** The code of each answer; empty where it has none. */
  codes: readonly string[]
  showsCodes: boolean
  /** The problem as typed. */
  given: string
}>()

const codesOf = (members: readonly number[]) =>
  members.map((member) => props.codes[member] ?? '').filter(Boolean)
</script>

<template>
  <div class="found">
    <p v-if="!codes.length" class="u-quiet">{{ words.answers.none }}</p>
    <template v-else>
      <AnswerGroups
        :groups="placed.groups"
        :of="codes.length"
        :codes-of="showsCodes ? codesOf : null"
        :given="given"
      />
      <SayNext :groups="placed.groups" />
    </template>
    <ClassSpine
      :lines="placed.lines"
      :numbers="placed.numbers"
      :groups="placed.groups"
      :of="codes.length"
    />
  </div>
</template>

<style scoped>
.found {
  display: grid;
  gap: var(--space-5);
  align-content: start;
  min-width: 0;
}
</style>
