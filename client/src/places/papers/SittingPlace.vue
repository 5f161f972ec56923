<script setup lang="ts">
/** A sitting: codes down, items across, where each paper left and what it earned; papers come in here. */
import { computed, reactive } from 'vue'
import { saidOf } from '@/api/queries'
import JobProgress from '@/jobs/JobProgress.vue'
import { useAfterwards } from '@/shared/composables/useAfterwards'
import FailureNote from '@/shared/page/FailureNote.vue'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import GoingOut from './GoingOut.vue'
import WaysIn from './WaysIn.vue'
import MarkGrid from './MarkGrid.vue'
import SittingSettings from './SittingSettings.vue'
import { errorsOf, rowsOf, type Wish } from './rows'
import { useSitting } from './useSitting'

const props = defineProps<{
  /** The sitting's id. */
  id: string
}>()

const sitting = useSitting(() => props.id)
const { grid, query, follow, action } = sitting
const wish = reactive<Wish>({ asking: false, error: '', by: 'code' })
const rows = computed(() => (grid.value ? rowsOf(grid.value, wish) : []))
const errors = computed(() => (grid.value ? errorsOf(grid.value) : []))
const isDrawn = useAfterwards(() => !!grid.value)
const title = computed(() =>
  grid.value ? words.papers.of(grid.value.title, grid.value.school_class) : '',
)
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <p class="no-print">
      <router-link :to="{ name: 'classes' }">{{ words.papers.back }}</router-link>
    </p>
    <WaitFor
      :pending="query.isPending.value"
      :failure="saidOf(query.error.value)"
      @again="query.refetch"
    >
      <template v-if="grid">
        <PageHead :title="title">
          <template #beside>
            <span class="u-quiet date">{{ grid.date }}</span>
          </template>
          <el-select
            v-if="errors.length"
            v-model="wish.error"
            class="error"
            clearable
            :placeholder="words.papers.anyError"
            :aria-label="words.papers.anyError"
          >
            <el-option
              v-for="[error, count] in errors"
              :key="error"
              :value="error"
              :label="`${count} · ${error}`"
            />
          </el-select>
          <el-checkbox v-model="wish.asking">{{ words.papers.filter }}</el-checkbox>
        </PageHead>
        <JobProgress
          v-if="follow.job.value"
          :job="follow.job.value"
          :refusal="follow.refusal.value"
          @cancel="follow.cancel"
        />
        <MarkGrid v-model:by="wish.by" :grid="grid" :rows="rows" />
        <GoingOut v-if="isDrawn" :sitting="sitting" :grid="grid" />
        <FailureNote :message="action.refusal.value" final />
        <div v-if="isDrawn" class="below no-print">
          <WaysIn :sitting="sitting" :grid="grid" />
          <SittingSettings :grid="grid" :busy="action.busy.value" @change="sitting.change" />
        </div>
      </template>
    </WaitFor>
  </main>
</template>

<style scoped>
.date {
  white-space: nowrap;
}
.error {
  width: 15rem;
}
.below {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
  gap: var(--space-6);
  margin-top: var(--space-5);
}
@media (max-width: 900px) {
  .below {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
