<script setup lang="ts">
/** The teacher's lessons: planned, going on, held. */
import { useQuery } from '@tanstack/vue-query'
import { ElMessageBox } from 'element-plus'
import { computed, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import { useAction } from '@/api/useAction'
import { written } from '@/shared/logic/dated'
import FailureNote from '@/shared/page/FailureNote.vue'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import PlanLesson from './PlanLesson.vue'

type Row = Schemas['LessonRow']

const archived = ref(false)
const planning = ref(false)
const { data, error, isPending, refetch } = useQuery({
  queryKey: computed(() => ['lessons', archived.value]),
  queryFn: () =>
    result(api.GET('/api/lessons', { params: { query: { archived: archived.value } } })),
})
const { refusal, run, again } = useAction()

function put(row: Row): void {
  void run(async () => {
    const params = { params: { path: { identity: row.id } } }
    if (archived.value) await result(api.POST('/api/lessons/{identity}/restore', params))
    else await result(api.DELETE('/api/lessons/{identity}', params))
    await refetch()
  })
}
async function remove(row: Row): Promise<void> {
  const sure = await ElMessageBox.confirm(words.lessons.deleteSays(row.title), {
    confirmButtonText: words.lessons.deleteYes,
  }).catch(() => null)
  if (!sure) return
  await run(async () => {
    const params = { path: { identity: row.id }, query: { for_good: true } }
    await result(api.DELETE('/api/lessons/{identity}', { params }))
    await refetch()
  })
}
const stateOf = ({ begun, ended, reached, count }: Row) =>
  words.lessons.state(!!begun, !!ended, reached, count)
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="words.lessons.title">
      <el-checkbox v-model="archived">{{ words.classes.archived }}</el-checkbox>
      <el-button type="primary" @click="planning = true">{{ words.lessons.make }}</el-button>
    </PageHead>
    <FailureNote :message="refusal" @again="again" />
    <WaitFor :pending="isPending" :failure="saidOf(error)" @again="refetch">
      <p v-if="!data?.length" class="empty">{{ words.lessons.none }}</p>
      <el-table v-else :data="data" row-key="id">
        <el-table-column :label="words.lessons.name" min-width="220">
          <template #default="{ row }">
            <router-link :to="{ name: 'lesson', params: { id: row.id } }">{{
              row.title || words.lessons.untitled
            }}</router-link>
          </template>
        </el-table-column>
        <el-table-column
          v-if="data.some(({ unit }) => unit)"
          prop="unit"
          :label="words.lessons.unit"
          min-width="120"
        />
        <el-table-column prop="school_class" :label="words.classes.which" min-width="160" />
        <el-table-column :label="words.classes.date" width="140">
          <template #default="{ row }">{{ written(row.date) }}</template>
        </el-table-column>
        <el-table-column prop="count" :label="words.lessons.items" width="80" align="right" />
        <el-table-column :label="words.lessons.stateHead" min-width="170">
          <template #default="{ row }">{{ stateOf(row) }}</template>
        </el-table-column>
        <el-table-column
          :width="archived ? 150 : 110"
          :label="words.examples.actions"
          align="right"
        >
          <template #default="{ row }">
            <el-button link type="primary" @click="put(row)">
              {{ archived ? words.classes.restore : words.classes.archive }}
            </el-button>
            <el-button v-if="archived" link type="primary" @click="remove(row)">
              {{ words.lessons.deleteYes }}
            </el-button>
          </template>
        </el-table-column>
      </el-table>
    </WaitFor>
    <PlanLesson v-model="planning" />
  </main>
</template>

<style scoped>
.empty {
  max-width: 30rem;
  margin: 3rem auto;
  text-align: center;
}
</style>
