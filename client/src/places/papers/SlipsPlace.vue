<script setup lang="ts">
/** Slips to cut and give back, six to a page: where each student first left, the right line, what to say. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import PrintedPage from '@/shared/page/PrintedPage.vue'
import { words } from '@/texts/en'
import LineText from './LineText.vue'

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
    <template #beside>
      <a class="no-print" :href="`/api/sittings/${id}/slips.pdf`" download>{{
        words.out.slipsPaper
      }}</a>
    </template>
    <p v-if="!data?.length" class="u-quiet">{{ words.papers.noSlips }}</p>
    <ul v-else class="slips">
      <li v-for="slip in data" :key="slip.code">
        <h2>
          {{ slip.code }}
          <small v-if="slip.earned !== null" class="u-quiet">{{
            words.papers.earned(slip.earned, slip.of)
          }}</small>
        </h2>
        <section v-for="entry in slip.entries" :key="entry.number">
          <p>
            {{ words.papers.item(entry.number) }}:
            <LineText :line="entry.given" />
          </p>
          <p v-if="entry.line">
            {{ words.papers.youWrote(entry.line) }} <LineText :line="entry.wrote" />
          </p>
          <p v-if="entry.instead">
            {{ words.papers.rightLine }} <LineText :line="entry.instead" />
          </p>
          <p class="says">{{ entry.comment || entry.says }}</p>
          <p v-if="entry.twin">{{ words.papers.tryThis }} <LineText :line="entry.twin" /></p>
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
