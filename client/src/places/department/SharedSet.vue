<script setup lang="ts">
/** A colleague's set as it stands: its problems, and the lines below them. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, type Schemas } from '@/api/client'
import MathText from '@/shared/math/MathText.vue'
import { readable } from '@/shared/logic/readable'
import { words } from '@/texts/en'

const props = defineProps<{
  set: Schemas['SharedSet']
  /** Whether its name stands over it. */
  named: boolean
}>()

const texts = computed(() => props.set.problems.map((problem) => problem.given))
/** The problems typeset: asked for together, shown as they were typed until they are here. */
const { data } = useQuery({
  queryKey: computed(() => ['typeset', texts.value]),
  queryFn: async () => {
    const found = await Promise.all(
      texts.value.map((text) => api.POST('/api/algebra/read', { body: { text } })),
    )
    return found.map((reply) => reply.data?.latex ?? '')
  },
  staleTime: Infinity,
})
</script>

<template>
  <section>
    <h2 v-if="named">{{ set.title || words.department.untitled }}</h2>
    <p v-if="set.instruction">{{ set.instruction }}</p>
    <ol>
      <li v-for="(problem, at) in set.problems" :key="at">
        <span class="u-quiet">{{ words.tasks[problem.task as 'solve'] ?? problem.task }}</span>
        <MathText v-if="data?.[at]" :latex="data[at]" />
        <span v-else>{{ readable(problem.given) }}</span>
        <span v-if="problem.title" class="u-quiet">{{ problem.title }}</span>
        <ul v-if="problem.lines.length" :aria-label="words.department.lines">
          <li v-for="(line, number) in problem.lines" :key="number">{{ readable(line) }}</li>
        </ul>
      </li>
    </ol>
  </section>
</template>

<style scoped>
ol {
  padding-left: var(--space-6);
}
li {
  padding: var(--space-2) 0;
}
li > span {
  margin-right: var(--space-3);
}
ul {
  list-style: none;
  margin: var(--space-1) 0 0;
  padding-left: var(--space-4);
  border-left: 2px solid var(--rule);
}
ul li {
  padding: 0;
}
</style>
