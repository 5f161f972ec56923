<script setup lang="ts">
/** The examples as a table: the stop of the last line, name and problem, where it is used, how hard it is. */
import type { TableInstance } from 'element-plus'
import { computed, useTemplateRef } from 'vue'
import type { Schemas } from '@/api/client'
import AsideButton from '@/filing/AsideButton.vue'
import UsedIn from '@/filing/UsedIn.vue'
import type { PuttingAside } from '@/filing/usePuttingAside'
import { useUnits } from '@/filing/useUnits'
import { dated, day } from '@/shared/logic/dated'
import { readable } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import Stop from '@/spine/Stop.vue'
import type { Mark } from '@/spine/types'
import { words } from '@/texts/en'
import type { Order } from './sought'

type Row = Schemas['ExampleRow']

const props = defineProps<{
  rows: Row[]
  /** Whether these are put aside. */
  areAside: boolean
  aside: PuttingAside
}>()
const order = defineModel<Order>('order', { required: true })
defineEmits<{ chosen: [rows: Row[]] }>()

const list = useTemplateRef<TableInstance>('list')
defineExpose({ clear: () => list.value?.clearSelection() })

const { units } = useUnits()
const unitOf = (row: Row) => units.value.find((unit) => unit.id === row.unit)?.title

/** Which column is sorted how, for each order. */
const SORTED = {
  changed: { prop: 'changed', order: 'descending' },
  opened: { prop: '', order: 'descending' },
  name: { prop: 'name', order: 'ascending' },
  easiest: { prop: 'difficulty', order: 'ascending' },
  hardest: { prop: 'difficulty', order: 'descending' },
} as const
const sorted = computed(() => ({ ...SORTED[order.value] }))

function sort({ prop, order: way }: { prop: string; order: string | null }): void {
  if (prop === 'name') order.value = way ? 'name' : 'changed'
  else if (prop === 'difficulty' && way) order.value = way === 'ascending' ? 'easiest' : 'hardest'
  else order.value = 'changed'
}

/** Being worked out, and not finished in time, are no verdicts. */
function mark(row: Row): Mark {
  return row.known && row.stop !== 'late' ? (row.stop as Mark) : 'waiting'
}
const nameOf = (row: Row) => row.title || readable(row.given) || words.bench.untitled
const isWorking = computed(() => props.rows.some((row) => !row.known))
</script>

<template>
  <el-table
    ref="list"
    :data="rows"
    row-key="id"
    :default-sort="sorted"
    :aria-busy="isWorking"
    @sort-change="sort"
    @selection-change="(now: Row[]) => $emit('chosen', now)"
  >
    <el-table-column v-if="!areAside" type="selection" reserve-selection width="36" />
    <el-table-column width="56" :label="words.examples.last">
      <template #default="{ row }">
        <span v-if="row.line_count" :title="row.stop === 'late' ? words.examples.late : undefined">
          <Stop class="small" sign="" :mark="mark(row)" />
        </span>
        <span v-else class="u-quiet" :title="words.examples.noLine">–</span>
      </template>
    </el-table-column>
    <el-table-column prop="name" :label="words.examples.name" sortable="custom" min-width="190">
      <template #default="{ row }">
        <router-link :to="{ name: 'bench', params: { id: row.id } }">{{ nameOf(row) }}</router-link>
        <small class="u-quiet">
          {{ words.tasks[row.task as keyof typeof words.tasks] }} ·
          {{ words.examples.lineCount(row.line_count) }}
          <template v-if="unitOf(row)"> · {{ unitOf(row) }}</template>
        </small>
      </template>
    </el-table-column>
    <el-table-column :label="words.examples.problem" min-width="160">
      <template #default="{ row }">
        <span class="problem">
          <MathText v-if="row.latex" :latex="row.latex" />
          <template v-else>{{ readable(row.given) }}</template>
        </span>
        <small v-if="row.why" class="u-quiet">{{ row.why }}</small>
      </template>
    </el-table-column>
    <el-table-column :label="words.examples.used" min-width="130">
      <template #default="{ row }">
        <UsedIn :tags="row.tags" :sets="row.in_sets" :untitled="words.sets.untitled" />
      </template>
    </el-table-column>
    <el-table-column
      prop="difficulty"
      :label="words.examples.difficulty"
      sortable="custom"
      width="112"
      align="right"
    >
      <template #default="{ row }">
        <template v-if="row.difficulty !== null">{{ row.difficulty }}</template>
        <span v-else-if="!row.known" class="u-quiet">{{ words.examples.working }}</span>
      </template>
    </el-table-column>
    <el-table-column prop="changed" :label="words.examples.changed" sortable="custom" width="118">
      <template #default="{ row }">
        <span class="u-quiet" :title="dated(row.changed)">{{ day(row.changed) }}</span>
      </template>
    </el-table-column>
    <el-table-column width="92" :label="words.examples.actions" align="right">
      <template #default="{ row }">
        <AsideButton :row="row" :is-aside="areAside" :aside="aside" />
      </template>
    </el-table-column>
  </el-table>
</template>

<style scoped>
.small {
  width: 24px;
  height: 24px;
  display: block;
}
.problem {
  overflow-wrap: anywhere;
}
small {
  display: block;
  line-height: 1.35;
}
</style>
