<script setup lang="ts">
/** The examples of a year: found, sorted, filed under units, put aside and brought back; import and export. */
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, result, type Schemas } from '@/api/client'
import AsideNote from '@/filing/AsideNote.vue'
import FileUnder from '@/filing/FileUnder.vue'
import MoreRows from '@/filing/MoreRows.vue'
import FiledList from '@/filing/FiledList.vue'
import { useChosen } from '@/filing/useChosen'
import { useListed } from '@/filing/useListed'
import { usePuttingAside } from '@/filing/usePuttingAside'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import ExampleFiles from './ExampleFiles.vue'
import ExampleFilters from './ExampleFilters.vue'
import ExampleTable from './ExampleTable.vue'
import { isAll, nothingSought, queryOf } from './sought'

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
const aside = usePuttingAside('examples')
const { chosen } = useChosen<Row>([query, aside.last])

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
    <FiledList v-model:unit="sought.unit">
      <ExampleFilters v-model="sought" />
      <AsideNote :aside="aside" />
      <FileUnder
        v-if="chosen.length && !sought.aside"
        kind="examples"
        :ids="chosen.map((row) => row.id)"
      >
        <el-button @click="aside.put(chosen)">{{ words.examples.putAside }}</el-button>
      </FileUnder>
      <WaitFor :pending="pending" :failure="failure" @again="again">
        <div v-if="!rows.length && !seeking" class="empty">
          <template v-if="isAll(sought)">
            <h2>{{ words.examples.none }}</h2>
            <p>{{ words.examples.noneSays }}</p>
          </template>
          <p v-else role="status">{{ words.examples.nothingFound }}</p>
        </div>
        <ExampleTable
          v-else
          ref="table"
          v-model:order="sought.order"
          :rows="rows"
          :aside="aside"
          :are-aside="sought.aside"
          @chosen="(now) => (chosen = now)"
        />
        <MoreRows :has-more="hasMore" :busy="fetchingMore" @more="more" />
      </WaitFor>
    </FiledList>
  </main>
</template>

<style scoped>
.empty {
  max-width: 30rem;
  margin: 4rem auto;
  text-align: center;
}
</style>
