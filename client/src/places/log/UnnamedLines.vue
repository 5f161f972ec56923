<script setup lang="ts">
/** Lines by which papers left that nobody knows: each is named once, on its item's spine. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result } from '@/api/client'
import { written } from '@/shared/logic/dated'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The class's id. */
  id: string
}>()

const { data } = useQuery({
  queryKey: computed(() => ['unnamed', props.id]),
  queryFn: () =>
    result(api.GET('/api/log/{identity}/unnamed', { params: { path: { identity: props.id } } })),
})
</script>

<template>
  <section v-if="data?.length">
    <h2>{{ words.log.unnamed }}</h2>
    <p class="u-quiet">{{ words.log.unnamedSays }}</p>
    <ul>
      <li v-for="one in data" :key="`${one.sitting} ${one.number}${one.version} ${one.line.text}`">
        <b>{{ words.log.papersOf(one.count) }}</b>:
        <MathText v-if="one.line.latex" :latex="one.line.latex" :spoken="one.line.spoken" />
        <template v-else>{{ one.line.text }}</template>
        <router-link :to="{ name: 'item', params: { id: one.sitting, number: one.number } }">{{
          `${one.title}, ${written(one.date)}, ${words.papers.item(one.number)}`
        }}</router-link>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin-bottom: var(--space-5);
}
li a {
  margin-left: var(--space-3);
  font-size: var(--type-note);
}
</style>
