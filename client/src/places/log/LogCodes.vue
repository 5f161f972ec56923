<script setup lang="ts">
/** The codes of a class: each leads to its own log. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result } from '@/api/client'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The class's id. */
  id: string
}>()

const { data } = useQuery({
  queryKey: computed(() => ['class', props.id]),
  queryFn: () =>
    result(api.GET('/api/classes/{identity}', { params: { path: { identity: props.id } } })),
})
</script>

<template>
  <section v-if="data?.students.length">
    <h2>{{ words.log.codes }}</h2>
    <ul>
      <li v-for="student in data.students" :key="student.id">
        <router-link :to="{ name: 'code-log', params: { id, student: student.id } }">{{
          student.code
        }}</router-link>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin-top: var(--space-5);
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2) var(--space-4);
  list-style: none;
  margin: 0 0 var(--space-5);
  padding: 0;
}
</style>
