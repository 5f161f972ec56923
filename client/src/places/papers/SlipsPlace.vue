<script setup lang="ts">
/** Slips to cut and give back, six to a page: where each student first left, the right line, what to say. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import MathText from '@/shared/math/MathText.vue'
import PrintedPage from '@/shared/page/PrintedPage.vue'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The sitting's id. */
  id: string
}>()

const { data, error, refetch } = useQuery({
  queryKey: computed(() => ['slips', props.id]),
  queryFn: () =>
    result(api.GET('/api/sittings/{identity}/slips', { params: { path: { identity: props.id } } })),
})
</script>

<template>
  <PrintedPage
    :back="{ name: 'sitting', params: { id } }"
    :back-to="words.papers.backToGrid"
    :refusal="saidOf(error)"
    :ready="!!data"
    :title="words.papers.slips"
    @again="refetch"
  >
    <p v-if="!data?.length" class="u-quiet">{{ words.papers.noSlips }}</p>
    <ul v-else class="slips">
      <li v-for="slip in data" :key="slip.code">
        <h2>{{ slip.code }}</h2>
        <section v-for="entry in slip.entries" :key="entry.number">
          <p>
            {{ words.papers.item(entry.number) }}:
            <MathText v-if="entry.reads" :latex="entry.reads.latex" :spoken="entry.reads.spoken" />
          </p>
          <p>
            {{ words.papers.youWrote(entry.line) }}
            <MathText v-if="entry.wrote_latex" :latex="entry.wrote_latex" />
            <template v-else>{{ entry.wrote }}</template>
          </p>
          <p v-if="entry.instead_latex">
            {{ words.papers.rightLine }} <MathText :latex="entry.instead_latex" />
          </p>
          <p class="says">{{ entry.says }}</p>
        </section>
      </li>
    </ul>
  </PrintedPage>
</template>

<style scoped>
.slips {
  display: grid;
  grid-template-columns: 1fr 1fr;
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  min-height: 8rem;
  padding: var(--space-3);
  border: 1px dashed var(--rule);
  break-inside: avoid;
}
h2 {
  margin: 0 0 var(--space-2);
}
section {
  padding-bottom: var(--space-2);
}
p {
  margin: 0 0 var(--space-1);
}
.says {
  color: var(--ink);
}
@media (max-width: 700px) {
  .slips {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
