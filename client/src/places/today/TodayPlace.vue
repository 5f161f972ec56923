<script setup lang="ts">
/** Where one lands: for each class what is due, planned and waiting; empty, what to do first. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import { isoDay, written } from '@/shared/logic/dated'
import { readable } from '@/shared/logic/readable'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import ClassToday from './ClassToday.vue'
import FirstSteps from './FirstSteps.vue'

const on = isoDay()
const { data, error, isPending, refetch } = useQuery({
  queryKey: ['today', on],
  queryFn: () => result(api.GET('/api/today', { params: { query: { on } } })),
})
const isNew = computed(() => !!data.value && Object.values(data.value.steps).includes(false))
const last = computed(() => data.value?.last ?? null)
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="words.today.title">
      <template #beside>
        <span class="u-quiet">{{ written(on) }}</span>
      </template>
      <span v-if="last">
        {{ words.today.bench }}:
        <router-link :to="{ name: 'bench', params: { id: last.id } }">{{
          last.title || readable(last.given)
        }}</router-link>
      </span>
    </PageHead>
    <WaitFor :pending="isPending" :failure="saidOf(error)" @again="refetch">
      <template v-if="data">
        <FirstSteps v-if="isNew" :steps="data.steps" />
        <ul>
          <li v-for="one in data.classes" :key="one.id">
            <ClassToday :today="one" :on="on" @changed="refetch" />
          </li>
        </ul>
      </template>
    </WaitFor>
  </main>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: var(--space-5);
}
</style>
