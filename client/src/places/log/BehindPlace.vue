<script setup lang="ts">
/** The papers behind a figure of the log: each line by which an error was made. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import { written } from '@/shared/logic/dated'
import MathText from '@/shared/math/MathText.vue'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The class's id. */
  id: string
  /** The error's id. */
  error: string
}>()

const route = useRoute()
const sitting = computed(() => (route.query['sitting'] as string | undefined) ?? null)
const {
  data,
  error: failure,
  isPending,
  refetch,
} = useQuery({
  queryKey: computed(() => ['behind', props.id, props.error, sitting.value]),
  queryFn: () => {
    const path = { identity: props.id, error: props.error }
    const params = { path, query: { sitting: sitting.value } }
    return result(api.GET('/api/log/{identity}/errors/{error}', { params }))
  },
})
const students = computed(() => new Set(data.value?.map((one) => one.student)).size)
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <p class="no-print">
      <router-link :to="{ name: 'log', params: { id } }">{{ words.log.back }}</router-link>
    </p>
    <WaitFor :pending="isPending" :failure="saidOf(failure)" @again="refetch">
      <PageHead :title="data?.[0]?.name ?? error">
        <template #beside>
          <span class="u-quiet">{{ words.log.papersOf(students) }}</span>
        </template>
      </PageHead>
      <el-table :data="data ?? []">
        <el-table-column :label="words.papers.code" width="110">
          <template #default="{ row }">
            <router-link
              :to="{
                name: 'paper',
                params: { id: row.sitting, student: row.student },
                hash: `#item-${row.number}`,
              }"
              >{{ row.code }}</router-link
            >
          </template>
        </el-table-column>
        <el-table-column :label="words.classes.date" width="140">
          <template #default="{ row }">{{ written(row.date) }}</template>
        </el-table-column>
        <el-table-column prop="title" :label="words.classes.sitting" min-width="180" />
        <el-table-column :label="words.log.item" width="100">
          <template #default="{ row }">
            <router-link :to="{ name: 'item', params: { id: row.sitting, number: row.number } }">{{
              words.papers.item(row.number)
            }}</router-link>
          </template>
        </el-table-column>
        <el-table-column :label="words.log.line" min-width="220">
          <template #default="{ row }">
            <MathText v-if="row.line.latex" :latex="row.line.latex" :spoken="row.line.spoken" />
            <template v-else>{{ row.line.text }}</template>
          </template>
        </el-table-column>
      </el-table>
    </WaitFor>
  </main>
</template>
