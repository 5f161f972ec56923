<script setup lang="ts">
/** Where a key is pasted or brought to be proofed, and those that were. */
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import MoreRows from '@/filing/MoreRows.vue'
import { useListed } from '@/filing/useListed'
import { dated } from '@/shared/logic/dated'
import FailureNote from '@/shared/page/FailureNote.vue'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import BeginProof from './BeginProof.vue'

type Row = Schemas['ProofRow']

const cache = useQueryClient()
const { refusal, run, again } = useAction()
const aside = ref<Row | null>(null)
const list = useListed<Row, object>(
  'proofs',
  computed(() => ({})),
  (_, cursor) => result(api.GET('/api/proofs', { params: { query: { cursor } } })),
)

function putAside(row: Row, back: boolean): Promise<boolean> {
  return run(async () => {
    const at = { params: { path: { identity: row.id } } }
    if (back) await result(api.POST('/api/proofs/{identity}/restore', at))
    else await result(api.DELETE('/api/proofs/{identity}', at))
    aside.value = back ? null : row
    await cache.invalidateQueries({ queryKey: ['proofs'] })
  })
}
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="words.proofs.title">
      <router-link :to="{ name: 'sets' }">{{ words.sets.title }}</router-link>
    </PageHead>
    <p>{{ words.proofs.lead }}</p>
    <BeginProof />
    <h2>{{ words.proofs.earlier }}</h2>
    <p v-if="aside" role="status">
      {{ words.examples.wasPutAside(1) }}
      <el-button link type="primary" @click="putAside(aside, true)">
        {{ words.examples.bringBack }}
      </el-button>
    </p>
    <FailureNote :message="refusal" @again="again" />
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
            <el-button link type="primary" @click="putAside(row, false)">
              {{ words.examples.putAside }}
            </el-button>
          </template>
        </el-table-column>
      </el-table>
      <MoreRows :has-more="list.hasMore.value" :busy="list.fetchingMore.value" @more="list.more" />
    </WaitFor>
  </main>
</template>
