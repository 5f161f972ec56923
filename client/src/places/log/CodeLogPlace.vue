<script setup lang="ts">
/** The log of one code: open errors, closed ones, where it stops too soon. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import { written } from '@/shared/logic/dated'
import PrintedPage from '@/shared/page/PrintedPage.vue'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The class's id. */
  id: string
  /** The student's number. */
  student: string
}>()

const { data, error, refetch } = useQuery({
  queryKey: computed(() => ['code-log', props.id, props.student]),
  queryFn: () => {
    const path = { identity: props.id, student: Number(props.student) }
    return result(api.GET('/api/log/{identity}/students/{student}', { params: { path } }))
  },
})
const groups = computed(() => {
  const rows = data.value?.rows ?? []
  const named: [string, Schemas['StudentRow'][]][] = [
    [words.log.openErrors, rows.filter((row) => !row.closed && !row.too_soon)],
    [words.log.tooSoon, rows.filter((row) => row.too_soon && !row.closed)],
    [words.log.closedErrors, rows.filter((row) => row.closed)],
  ]
  return named.filter(([, listed]) => listed.length)
})
</script>

<template>
  <PrintedPage
    :back="{ name: 'log', params: { id } }"
    :back-to="words.log.back"
    :refusal="saidOf(error)"
    :ready="!!data"
    :title="words.log.codeTitle(data?.code ?? '')"
    @again="refetch"
  >
    <p v-if="!groups.length" class="u-quiet">{{ words.log.codeNone }}</p>
    <section v-for="[title, rows] in groups" :key="title">
      <h2>{{ title }}</h2>
      <ul>
        <li v-for="row in rows" :key="row.error">
          <b>{{ row.name }}</b>: {{ words.log.times(row.count) }},
          {{ words.log.last(written(row.last)) }},
          {{ words.log.rightSince(row.right_since) }}
          <span class="no-print">
            <router-link
              v-for="time in row.times"
              :key="`${time.sitting} ${time.number}`"
              :to="{
                name: 'paper',
                params: { id: time.sitting, student },
                hash: `#item-${time.number}`,
              }"
              >{{ written(time.date) }}, {{ words.papers.item(time.number) }}</router-link
            >
          </span>
        </li>
      </ul>
    </section>
  </PrintedPage>
</template>

<style scoped>
section {
  margin-top: var(--space-4);
}
span a {
  margin-left: var(--space-3);
  font-size: var(--type-note);
}
</style>
