<script setup lang="ts">
/** What goes out: marks are released by the teacher, printed and exported, and never sent. */
import { ElMessageBox } from 'element-plus'
import { computed } from 'vue'
import { words } from '@/texts/en'
import { questionsOf, type Grid } from './rows'
import type { useSitting } from './useSitting'

const props = defineProps<{ sitting: ReturnType<typeof useSitting>; grid: Grid }>()
const at = (name: string) => `/api/sittings/${props.grid.id}/${name}`
const busy = computed(() => props.sitting.action.busy.value)

async function release(): Promise<void> {
  const questions = questionsOf(props.grid)
  const sure =
    !questions ||
    (await ElMessageBox.confirm(words.out.undecided(questions), {
      confirmButtonText: words.out.release,
    }).catch(() => null))
  if (sure) await props.sitting.release(true)
}
</script>

<template>
  <div class="out no-print">
    <el-button v-if="grid.released" :disabled="busy" @click="sitting.release(false)">
      {{ words.out.takeBack }}
    </el-button>
    <el-button v-else type="primary" :disabled="busy || !grid.cells.length" @click="release">
      {{ words.out.release }}
    </el-button>
    <p class="u-quiet">
      {{ grid.released ? words.out.released(grid.released.slice(0, 10)) : words.out.final }}
    </p>
    <ul :aria-label="words.out.title">
      <li>
        {{ words.out.marks }}
        <a :href="at('marks.csv')" download>CSV</a>
        <a :href="at('marks.xlsx')" download>XLSX</a>
        <a :href="at('marks.json')" download>JSON</a>
      </li>
      <li>
        <router-link :to="{ name: 'slips', params: { id: grid.id } }">{{
          words.out.slips
        }}</router-link>
      </li>
      <li>
        <a :href="at('redo.pdf')" :title="words.out.redoSays" download>{{ words.out.redo }}</a>
      </li>
      <li>
        <a :href="`/api/scans/${grid.id}/handouts.pdf`" :title="words.out.handoutsSays" download>{{
          words.out.handouts
        }}</a>
      </li>
    </ul>
    <p class="u-quiet">{{ words.out.caution }}</p>
  </div>
</template>

<style scoped>
.out {
  display: flex;
  flex-wrap: wrap;
  align-items: baseline;
  gap: var(--space-2) var(--space-5);
  margin-top: var(--space-3);
}
.out > p {
  margin: 0;
}
ul a + a {
  margin-left: var(--space-2);
}
ul {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-5);
  list-style: none;
  margin: 0;
  padding: 0;
}
</style>
