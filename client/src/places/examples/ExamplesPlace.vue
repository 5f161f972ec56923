<script setup lang="ts">
/** The examples of a year: found, sorted, filed under units, put aside and brought back; import and export. */
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, result, type Schemas } from '@/api/client'
import FileUnder from '@/filing/FileUnder.vue'
import MoreRows from '@/filing/MoreRows.vue'
import UnitTree from '@/filing/UnitTree.vue'
import { useListed } from '@/filing/useListed'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import ExampleFiles from './ExampleFiles.vue'
import ExampleFilters from './ExampleFilters.vue'
import ExampleTable from './ExampleTable.vue'
import { isAll, nothingSought, queryOf } from './sought'
import { usePuttingAside } from './usePuttingAside'

type Row = Schemas['ExampleRow']

const router = useRouter()
const sought = ref(nothingSought())
const query = computed(() => queryOf(sought.value))
const list = useListed<Row, ReturnType<typeof queryOf>>(
  'examples',
  query,
  (wanted, cursor) =>
    result(api.GET('/api/examples', { params: { query: { ...wanted, cursor } } })),
  (row) => !row.known,
)
const { rows, pending, seeking, failure, again, hasMore, more, fetchingMore } = list
const chosen = ref<Row[]>([])
const aside = usePuttingAside()

/** Another round of choosing: what was chosen before is forgotten. */
const round = ref(0)

function forget(): void {
  chosen.value = []
  round.value += 1
}
watch(query, forget)

async function putAside(rows: Row[]): Promise<void> {
  if (await aside.put(rows)) forget()
}

function start(): void {
  void router.push({ name: 'bench', params: { id: 'new' } })
}
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="words.examples.title">
      <ExampleFiles />
      <el-button type="primary" @click="start">{{ words.examples.start }}</el-button>
    </PageHead>
    <div class="columns">
      <UnitTree v-model="sought.unit" />
      <div>
        <ExampleFilters v-model="sought" />
        <p v-if="aside.last.value.length && !sought.aside" class="done" role="status">
          {{ words.examples.wasPutAside(aside.last.value.length) }}
          <el-button link type="primary" @click="aside.undo">{{
            words.examples.bringBack
          }}</el-button>
        </p>
        <FileUnder
          v-if="chosen.length && !sought.aside"
          kind="examples"
          :ids="chosen.map((row) => row.id)"
        >
          <el-button @click="putAside(chosen)">{{ words.examples.putAside }}</el-button>
        </FileUnder>
        <WaitFor
          :pending="pending"
          :failure="failure || aside.refusal.value"
          @again="failure ? again() : aside.again()"
        >
          <div v-if="!rows.length && !seeking" class="empty">
            <template v-if="isAll(sought)">
              <h2>{{ words.examples.none }}</h2>
              <p>{{ words.examples.noneSays }}</p>
            </template>
            <p v-else role="status">{{ words.examples.nothingFound }}</p>
          </div>
          <ExampleTable
            v-else
            :key="round"
            v-model:order="sought.order"
            :rows="rows"
            :aside="sought.aside"
            :data-seeking="seeking || undefined"
            @chosen="(now) => (chosen = now)"
            @put-aside="(row) => putAside([row])"
            @bring-back="(row) => aside.bring([row])"
          />
          <MoreRows :has-more="hasMore" :busy="fetchingMore" @more="more" />
        </WaitFor>
      </div>
    </div>
  </main>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: 10.5rem minmax(0, 1fr);
  gap: var(--space-5);
}
.done {
  background: var(--lit);
  padding: var(--space-2) var(--space-4);
  border-radius: var(--round);
}
.empty {
  max-width: 30rem;
  margin: 4rem auto;
  text-align: center;
}
</style>
