<script setup lang="ts">
/** The sets as a table. */
import type { TableInstance } from 'element-plus'
import { computed, useTemplateRef } from 'vue'
import type { Schemas } from '@/api/client'
import AsideButton from '@/filing/AsideButton.vue'
import UsedIn from '@/filing/UsedIn.vue'
import type { PuttingAside } from '@/filing/usePuttingAside'
import { useUnits } from '@/filing/useUnits'
import { dated, day } from '@/shared/logic/dated'
import { words } from '@/texts/en'

type Row = Schemas['SetRow']

defineProps<{
  rows: Row[]
  /** Whether these are put aside. */
  areAside: boolean
  aside: PuttingAside
}>()
const order = defineModel<'changed' | 'name'>('order', { required: true })
defineEmits<{ chosen: [rows: Row[]] }>()

const list = useTemplateRef<TableInstance>('list')
defineExpose({ clear: () => list.value?.clearSelection() })

const { units } = useUnits()
const unitOf = (row: Row) => units.value.find((unit) => unit.id === row.unit)?.title ?? ''
const sorted = computed(() =>
  order.value === 'name'
    ? { prop: 'name', order: 'ascending' as const }
    : { prop: 'changed', order: 'descending' as const },
)
</script>

<template>
  <el-table
    ref="list"
    :data="rows"
    row-key="id"
    :default-sort="sorted"
    @sort-change="
      ({ prop, order: way }: { prop: string; order: string | null }) =>
        (order = prop === 'name' && way ? 'name' : 'changed')
    "
    @selection-change="(now: Row[]) => $emit('chosen', now)"
  >
    <el-table-column v-if="!areAside" type="selection" reserve-selection width="36" />
    <el-table-column prop="name" :label="words.examples.name" sortable="custom" min-width="240">
      <template #default="{ row }">
        <router-link v-if="!areAside" :to="{ name: 'set', params: { id: row.id } }">
          {{ row.title || words.sets.untitled }}
        </router-link>
        <template v-else>{{ row.title || words.sets.untitled }}</template>
        <span v-if="row.form" class="u-quiet"> {{ words.sets.form(row.form) }}</span>
      </template>
    </el-table-column>
    <el-table-column :label="words.units.title" min-width="140">
      <template #default="{ row }">
        <span class="u-quiet">{{ unitOf(row) }}</span>
        <UsedIn :tags="row.tags" :untitled="words.sets.untitled" />
      </template>
    </el-table-column>
    <el-table-column prop="item_count" :label="words.sets.items" width="100" align="right" />
    <el-table-column prop="changed" :label="words.examples.changed" sortable="custom" width="118">
      <template #default="{ row }">
        <span class="u-quiet" :title="dated(row.changed)">{{ day(row.changed) }}</span>
      </template>
    </el-table-column>
    <el-table-column width="100" :label="words.examples.actions" align="right">
      <template #default="{ row }">
        <AsideButton :row="row" :is-aside="areAside" :aside="aside" />
      </template>
    </el-table-column>
  </el-table>
</template>
