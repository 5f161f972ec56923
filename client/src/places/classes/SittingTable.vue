<script setup lang="ts">
/** What was given to classes, the latest first. */
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

type Row = Schemas['SittingRow']

defineProps<{ rows: Row[] }>()
const emit = defineEmits<{ changed: [] }>()
const { refusal, run, again } = useAction()

function put(row: Row): void {
  void run(async () => {
    const params = { params: { path: { identity: row.id } } }
    await result(api.DELETE('/api/sittings/{identity}', params))
    emit('changed')
  })
}
</script>

<template>
  <FailureNote :message="refusal" @again="again" />
  <el-table :data="rows" row-key="id">
    <el-table-column :label="words.classes.sitting" min-width="220">
      <template #default="{ row }">
        <router-link :to="{ name: 'sitting', params: { id: row.id } }">{{ row.title }}</router-link>
      </template>
    </el-table-column>
    <el-table-column
      v-if="rows.some(({ unit }) => unit)"
      prop="unit"
      :label="words.lessons.unit"
      min-width="120"
    />
    <el-table-column prop="school_class" :label="words.classes.which" min-width="160" />
    <el-table-column prop="date" :label="words.classes.date" width="120" />
    <el-table-column width="110" :label="words.examples.actions" align="right">
      <template #default="{ row }">
        <el-button link type="primary" @click="put(row)">{{ words.classes.archive }}</el-button>
      </template>
    </el-table-column>
  </el-table>
</template>
