<script setup lang="ts">
/** Scanned stacks come in and are cut; pages that found no code wait here to be placed by hand. */
import { computed } from 'vue'
import { saidOf } from '@/api/queries'
import JobProgress from '@/jobs/JobProgress.vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import LayTo from './LayTo.vue'
import type { Grid } from './rows'
import type { useSitting } from './useSitting'
import { useScans } from './useScans'

const props = defineProps<{ sitting: ReturnType<typeof useSitting>; grid: Grid }>()
const scans = useScans(() => props.grid.id)
const { query, pages, follow, isCutting, action } = scans
const heap = computed(() => pages.value.filter(({ student }) => student === null))

async function bring(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (file) await scans.bring(file)
  field.value = ''
}
</script>

<template>
  <div>
    <p class="u-quiet">{{ words.ways.scansSays }}</p>
    <label>
      {{ words.ways.scanFile }}
      <input
        type="file"
        accept=".pdf,.png,.jpg,.jpeg,.tif,.tiff"
        :disabled="action.busy.value || isCutting"
        @change="bring"
      />
    </label>
    <FailureNote :message="action.refusal.value || saidOf(query.error.value)" final />
    <JobProgress
      v-if="follow.job.value && follow.job.value.state !== 'done'"
      :job="follow.job.value"
      :refusal="follow.refusal.value"
      @cancel="follow.cancel"
    />
    <p v-if="pages.length && !isCutting" role="status">
      {{ words.ways.laid(pages.length - heap.length) }}
    </p>
    <template v-if="heap.length">
      <h3>{{ words.ways.heap(heap.length) }}</h3>
      <ul>
        <li v-for="page in heap" :key="page.id">
          <a v-if="page.shown" :href="scans.pictureOf(page)" target="_blank">
            <img
              loading="lazy"
              :src="scans.pictureOf(page)"
              :alt="words.ways.pageOf(page.stack, page.position + 1)"
            />
          </a>
          <span>
            {{ words.ways.pageOf(page.stack, page.position + 1) }}<br />
            <span class="u-quiet">{{ page.says }}</span>
            <LayTo
              :students="grid.students"
              :busy="action.busy.value"
              @lay="(student) => scans.lay(page, student)"
              @away="scans.remove(page)"
            >
              <el-button size="small" @click="scans.lay(page, null, 90)">
                {{ words.ways.turn }}
              </el-button>
            </LayTo>
          </span>
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
  gap: var(--space-4);
  padding: var(--space-2) 0;
  border-top: 1px solid var(--rule);
}
img {
  width: 8rem;
  border: 1px solid var(--rule);
}
</style>
