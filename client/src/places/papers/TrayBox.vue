<script setup lang="ts">
/** The tray: what waits in it is fetched; what cannot be placed waits here for the teacher. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import { useAction } from '@/api/useAction'
import JobProgress from '@/jobs/JobProgress.vue'
import { useJob } from '@/jobs/useJob'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import LayTo from './LayTo.vue'
import type { Grid } from './rows'
import type { useSitting } from './useSitting'

const props = defineProps<{ sitting: ReturnType<typeof useSitting>; grid: Grid }>()
const cache = useQueryClient()
const key = computed(() => ['tray', props.grid.id])
const path = () => ({ sitting: props.grid.id })
const { data, error, refetch } = useQuery({
  queryKey: key,
  queryFn: () => result(api.GET('/api/deliveries/{sitting}', { params: { path: path() } })),
})
const { busy, refusal, run, again } = useAction()
const begun = ref<Schemas['JobOut'] | null>(null)
const follow = useJob(
  () => begun.value,
  () => {
    void refetch()
    props.sitting.reload()
  },
)
const done = computed(() =>
  ['done', 'partly'].includes(follow.job.value?.state ?? '')
    ? (follow.job.value?.outcome as { taken: number; waiting: number } | null)
    : null,
)

function fetchAll(): void {
  void run(async () => {
    const params = { params: { path: path() } }
    begun.value = await result(api.POST('/api/deliveries/{sitting}/fetch', params))
  })
}
function lay(delivery: number, student: number): void {
  void run(async () => {
    const params = { params: { path: { ...path(), delivery } }, body: { student } }
    cache.setQueryData(
      key.value,
      await result(api.POST('/api/deliveries/{sitting}/{delivery}', params)),
    )
    props.sitting.reload()
  })
}
function putAway(delivery: number): void {
  void run(async () => {
    const params = { params: { path: { ...path(), delivery } } }
    const found = await result(api.DELETE('/api/deliveries/{sitting}/{delivery}', params))
    cache.setQueryData(key.value, found)
  })
}
const linesOf = (works: Record<string, unknown>[]) =>
  works
    .map(({ item, lines }) => `${String(item)}: ${(lines as string[]).join('; ')}`)
    .join(' · ')
    .slice(0, 240)
</script>

<template>
  <div>
    <p class="u-quiet">{{ words.ways.traySays }}</p>
    <FailureNote :message="saidOf(error)" @again="refetch" />
    <p v-if="data" role="status">
      {{ words.ways.inTray(data.tray) }}
      <el-button :disabled="busy || follow.isOpen.value || !data.tray" @click="fetchAll">
        {{ words.ways.fetch }}
      </el-button>
    </p>
    <JobProgress
      v-if="follow.job.value && !done"
      :job="follow.job.value"
      :refusal="follow.refusal.value"
      @cancel="follow.cancel"
    />
    <p v-if="done" role="status">
      {{ words.ways.fetched(done.taken, done.waiting) }} {{ follow.job.value?.message }}
    </p>
    <FailureNote :message="refusal" @again="again" />
    <template v-if="data?.waiting.length">
      <h3>{{ words.ways.waiting }}</h3>
      <ul>
        <li v-for="one in data.waiting" :key="one.id">
          <span>
            <b>{{ one.code }}</b> {{ one.says }}
            <small class="u-quiet lines">{{ linesOf(one.works) }}</small>
          </span>
          <LayTo
            :students="grid.students"
            :busy="busy"
            @lay="(student) => lay(one.id, student)"
            @away="putAway(one.id)"
          />
        </li>
      </ul>
    </template>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: flex;
  justify-content: space-between;
  gap: var(--space-4);
  padding: var(--space-2) 0;
  border-top: 1px solid var(--rule);
}
.lines {
  display: block;
}
</style>
