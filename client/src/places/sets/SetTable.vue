<script setup lang="ts">
/** The sets as a table. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import UsedIn from '@/filing/UsedIn.vue'
import { useUnits } from '@/filing/useUnits'
import { dated, day } from '@/shared/logic/dated'
import { words } from '@/texts/en'

type Row = Schemas['SetRow']

defineProps<{
  rows: Row[]
  /** Whether these are put aside. */
  aside: boolean
}>()
const order = defineModel<'changed' | 'name'>('order', { required: true })
defineEmits<{ chosen: [rows: Row[]]; putAside: [row: Row]; bringBack: [row: Row] }>()

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
    :data="rows"
    row-key="id"
    :default-sort="sorted"
    @sort-change="
      ({ prop, order: way }: { prop: string; order: string | null }) =>
        (order = prop === 'name' && way ? 'name' : 'changed')
    "
    @selection-change="(now: Row[]) => $emit('chosen', now)"
  >
    <el-table-column v-if="!aside" type="selection" reserve-selection width="36" />
    <el-table-column prop="name" :label="words.examples.name" sortable="custom" min-width="240">
      <template #default="{ row }">
        <router-link v-if="!aside" :to="{ name: 'set', params: { id: row.id } }">
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
        <el-button v-if="aside" link type="primary" @click="$emit('bringBack', row)">
          {{ words.examples.bringBack }}
        </el-button>
        <el-button v-else link type="primary" @click="$emit('putAside', row)">
          {{ words.examples.putAside }}
        </el-button>
      </template>
    </el-table-column>
  </el-table>
</template>
