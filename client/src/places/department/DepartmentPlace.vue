<script setup lang="ts">
/** What the department shares, and the classes that are handed over. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import ShareButton from '@/sharing/ShareButton.vue'
import { useDepartment } from '@/sharing/useDepartment'
import { day } from '@/shared/logic/dated'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import HandedClasses from './HandedClasses.vue'

const { query, shared, handed, changed } = useDepartment()
const title = computed(() => query.data.value?.title || words.titles.department)

function named(row: Schemas['SharedOut']): string {
  if (row.kind === 'house') return words.department.houseOf(row.owner)
  return row.title || words.department.untitled
}
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="title">
      <template #beside>
        <span v-if="query.data.value?.title" class="u-quiet">
          {{ words.department.colleagues(query.data.value.colleagues) }}
        </span>
      </template>
      <ShareButton kind="house" of="" />
    </PageHead>
    <p class="u-quiet">{{ words.department.lead }}</p>
    <WaitFor
      :pending="query.isPending.value"
      :failure="saidOf(query.error.value)"
      @again="query.refetch()"
    >
      <p v-if="!query.data.value?.title">{{ words.department.without }}</p>
      <HandedClasses :handed="handed" @changed="changed" />
      <p v-if="query.data.value?.title && !shared.length" class="empty">
        {{ words.department.none }}
      </p>
      <el-table v-if="shared.length" :data="shared" row-key="id">
        <el-table-column :label="words.department.what" min-width="240">
          <template #default="{ row }">
            <router-link :to="{ name: 'shared', params: { id: row.id } }">
              {{ named(row) }}
            </router-link>
            <div class="u-quiet">
              {{ words.department.kindOf(row.kind, row.count) }}
            </div>
          </template>
        </el-table-column>
        <el-table-column :label="words.department.of" width="160">
          <template #default="{ row }">
            {{ row.own ? words.department.own : row.owner }}
          </template>
        </el-table-column>
        <el-table-column :label="words.department.since" width="140">
          <template #default="{ row }">
            <span class="u-quiet">{{ day(row.since) }}</span>
          </template>
        </el-table-column>
        <el-table-column :label="words.department.forYou" width="240">
          <template #default="{ row }">
            <b v-if="row.changed" class="u-warm">{{ words.department.changed }}</b>
            <span v-else-if="row.copied" class="u-quiet">{{ words.department.copied }}</span>
            <ShareButton v-else-if="row.own" :kind="row.kind" :of="row.key" link />
          </template>
        </el-table-column>
      </el-table>
    </WaitFor>
  </main>
</template>

<style scoped>
.empty {
  max-width: 30rem;
  margin: 3rem auto;
  text-align: center;
}
</style>
