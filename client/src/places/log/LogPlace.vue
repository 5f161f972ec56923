<script setup lang="ts">
/** The log of a class: errors by time, what to teach again next, what was taught again and is due. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import { useJob } from '@/jobs/useJob'
import { useAfterwards } from '@/shared/composables/useAfterwards'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import LogCodes from './LogCodes.vue'
import LogTable from './LogTable.vue'
import OwnSlips from './OwnSlips.vue'
import TaughtAgain from './TaughtAgain.vue'
import TeachNext from './TeachNext.vue'
import UnnamedLines from './UnnamedLines.vue'

const props = defineProps<{
  /** The class's id. */
  id: string
}>()

const path = () => ({ params: { path: { identity: props.id } } })
const { data, error, isPending, refetch } = useQuery({
  queryKey: computed(() => ['log', props.id]),
  queryFn: () => result(api.GET('/api/log/{identity}', path())),
  refetchInterval: ({ state }) => (state.data?.waiting ? 2500 : false),
})
const learning = useJob(
  () => data.value?.learning ?? null,
  () => void refetch(),
)
const isLearning = computed(() => ['waiting', 'running'].includes(learning.job.value?.state ?? ''))
const isDrawn = useAfterwards(() => !!data.value)
const FILES = ['csv', 'xlsx', 'json'] as const
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <p class="no-print ways">
      <router-link :to="{ name: 'classes' }">{{ words.papers.back }}</router-link>
      <router-link :to="{ name: 'lessons' }">{{ words.rail.lessons }}</router-link>
    </p>
    <WaitFor :pending="isPending" :failure="saidOf(error)" @again="refetch">
      <template v-if="data">
        <PageHead :title="words.log.title(data.title)">
          <span class="u-quiet">{{ words.log.export }}:</span>
          <a
            v-for="ending in FILES"
            :key="ending"
            :href="`/api/log/${id}/log.${ending}`"
            download
            >{{ ending.toUpperCase() }}</a
          >
        </PageHead>
        <p v-if="data.waiting" role="status">{{ words.log.waiting(data.waiting) }}</p>
        <p v-if="!data.rows.length && !data.waiting" class="u-quiet">{{ words.log.none }}</p>
        <template v-if="data.rows.length">
          <TeachNext :id="id" />
          <p class="u-quiet">
            {{ words.log.says }}
            <span v-if="isLearning" role="status">{{ words.log.learning }}</span>
          </p>
          <LogTable :id="id" :log="data" />
        </template>
        <template v-if="isDrawn">
          <UnnamedLines :id="id" />
          <TaughtAgain :id="id" />
          <LogCodes :id="id" />
          <OwnSlips />
        </template>
      </template>
    </WaitFor>
  </main>
</template>

<style scoped>
.ways {
  display: flex;
  gap: var(--space-4);
  margin-top: 0;
}
</style>
