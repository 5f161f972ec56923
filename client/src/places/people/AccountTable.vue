<script setup lang="ts">
/** Accounts by name: who they are, and what whoever keeps them can do. */
import type { Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import { day } from '@/shared/logic/dated'
import FailureNote from '@/shared/page/FailureNote.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import { useAccounts } from './useAccounts'

defineProps<{ departments: Schemas['DepartmentOut'][] }>()
const emit = defineEmits<{ link: [{ link: string; says: string }] }>()

const accounts = useAccounts((made) => emit('link', made))
const { wanted, said, list, rows, busy, refusal, place, toggle, reset, forget } = accounts
</script>

<template>
  <el-input
    v-model="wanted"
    class="find"
    type="search"
    clearable
    :placeholder="words.people.search"
    :aria-label="words.people.search"
  />
  <FailureNote :message="refusal" final />
  <p v-if="said" role="status">{{ said }}</p>
  <WaitFor
    :pending="list.isPending.value"
    :failure="saidOf(list.error.value)"
    @again="list.refetch()"
  >
    <el-table :data="rows" row-key="id" :empty-text="words.people.none">
      <el-table-column :label="words.people.name" min-width="160">
        <template #default="{ row }">
          <b>{{ row.username }}</b>
          <div v-if="row.mail" class="u-quiet">{{ row.mail }}</div>
          <div v-if="row.locked" class="u-warm">{{ words.people.locked }}</div>
          <div v-if="row.leaves" class="u-warm">{{ words.people.leaves(day(row.leaves)) }}</div>
        </template>
      </el-table-column>
      <el-table-column :label="words.people.department" width="210">
        <template #default="{ row }">
          <el-select
            :model-value="row.department ?? 0"
            :empty-values="[null, undefined]"
            :aria-label="`${words.people.department}: ${row.username}`"
            :disabled="busy"
            @update:model-value="(to: number) => place(row, { department: to || null })"
          >
            <el-option :value="0" :label="words.people.noDepartment" />
            <el-option
              v-for="one in departments"
              :key="one.id"
              :value="one.id"
              :label="one.title"
            />
          </el-select>
        </template>
      </el-table-column>
      <el-table-column :label="words.people.keeps" width="140">
        <template #default="{ row }">
          <el-checkbox
            :model-value="row.administrator"
            :disabled="busy"
            :aria-label="`${words.people.keeps}: ${row.username}`"
            @update:model-value="(is: unknown) => place(row, { administrator: is === true })"
          />
        </template>
      </el-table-column>
      <el-table-column :label="words.people.lastHere" width="130">
        <template #default="{ row }">
          <span class="u-quiet">{{ row.last_here ? day(row.last_here) : words.people.never }}</span>
        </template>
      </el-table-column>
      <el-table-column :label="words.people.actions" min-width="200">
        <template #default="{ row }">
          <span class="actions">
            <el-button link type="primary" :disabled="busy" @click="toggle(row)">
              {{ row.locked ? words.people.release : words.people.lock }}
            </el-button>
            <el-button link type="primary" :disabled="busy" @click="reset(row)">
              {{ words.people.reset }}
            </el-button>
            <el-button
              v-if="row.second_factor"
              link
              type="primary"
              :disabled="busy"
              @click="forget(row)"
            >
              {{ words.people.forget }}
            </el-button>
          </span>
        </template>
      </el-table-column>
    </el-table>
    <el-button
      v-if="list.hasNextPage.value"
      :loading="list.isFetchingNextPage.value"
      @click="list.fetchNextPage()"
    >
      {{ words.people.more }}
    </el-button>
  </WaitFor>
</template>

<style scoped src="./account-table.css"></style>
