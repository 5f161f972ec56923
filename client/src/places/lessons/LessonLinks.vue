<script setup lang="ts">
/** Where a lesson belongs: the list, its class and log, its set, the lesson before it. */
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'

defineProps<{
  /** The lesson; null while it is not here yet. */
  found: Schemas['PlanOut'] | null
}>()
</script>

<template>
  <p class="no-print back">
    <router-link :to="{ name: 'lessons' }">{{ words.lessons.back }}</router-link>
    <span v-if="found" class="u-quiet">{{ found.school_class }}</span>
    <router-link v-if="found" :to="{ name: 'log', params: { id: found.class_id } }">{{
      words.log.open
    }}</router-link>
    <router-link v-if="found?.set" :to="{ name: 'set', params: { id: found.set } }">{{
      words.lessons.fromSet(found.set_title || words.sets.untitled)
    }}</router-link>
    <router-link
      v-if="found?.carried_from"
      :to="{ name: 'lesson', params: { id: found.carried_from } }"
      >{{ words.lessons.carriedFrom }}</router-link
    >
  </p>
</template>

<style scoped>
.back {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-4);
  margin-top: 0;
}
</style>
