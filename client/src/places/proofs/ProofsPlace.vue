<script setup lang="ts">
/** Where a key is pasted or brought to be proofed, and those that were. */
import { computed } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import AsideButton from '@/filing/AsideButton.vue'
import AsideNote from '@/filing/AsideNote.vue'
import MoreRows from '@/filing/MoreRows.vue'
import { useListed } from '@/filing/useListed'
import { usePuttingAside } from '@/filing/usePuttingAside'
import { dated } from '@/shared/logic/dated'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import BeginProof from './BeginProof.vue'

type Row = Schemas['ProofRow']

const aside = usePuttingAside('proofs')
const list = useListed<Row, object>(
  'proofs',
  computed(() => ({})),
  (_, cursor) => result(api.GET('/api/proofs', { params: { query: { cursor } } })),
)
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="words.proofs.title">
      <router-link :to="{ name: 'sets' }">{{ words.sets.title }}</router-link>
    </PageHead>
    <p>{{ words.proofs.lead }}</p>
    <BeginProof />
    <h2>{{ words.proofs.earlier }}</h2>
    <AsideNote :aside="aside" />
    <WaitFor :pending="list.pending.value" :failure="list.failure.value" @again="list.again">
      <p v-if="!list.rows.value.length" class="u-quiet">{{ words.proofs.none }}</p>
      <el-table v-else :data="list.rows.value" row-key="id">
        <el-table-column :label="words.examples.name" min-width="260">
          <template #default="{ row }">
            <router-link :to="{ name: 'proof', params: { id: row.id } }">
              {{ row.title || words.proofs.untitled }}
            </router-link>
          </template>
        </el-table-column>
        <el-table-column prop="items" :label="words.proofs.items" width="100" align="right" />
        <el-table-column :label="words.proofs.faulty" width="140" align="right">
          <template #default="{ row }">
            <span :class="{ 'u-warm': row.faulty }">{{ row.faulty }}</span>
          </template>
        </el-table-column>
        <el-table-column :label="words.examples.changed" width="170">
          <template #default="{ row }">
            <span class="u-quiet">{{ dated(row.created) }}</span>
          </template>
        </el-table-column>
        <el-table-column :label="words.examples.actions" width="110">
          <template #default="{ row }">
            <AsideButton :row="row" :aside="aside" />
          </template>
        </el-table-column>
      </el-table>
      <MoreRows :has-more="list.hasMore.value" :busy="list.fetchingMore.value" @more="list.more" />
    </WaitFor>
  </main>
</template>
