<script setup lang="ts">
/** The sets of a year: found, filed under units, started, brought in, put aside and brought back. */
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import AsideNote from '@/filing/AsideNote.vue'
import FiledList from '@/filing/FiledList.vue'
import FileUnder from '@/filing/FileUnder.vue'
import MoreRows from '@/filing/MoreRows.vue'
import { useChosen } from '@/filing/useChosen'
import { useListed } from '@/filing/useListed'
import { usePuttingAside } from '@/filing/usePuttingAside'
import { useTags } from '@/filing/useUnits'
import { useGoOn } from '@/shared/composables/useGoOn'
import FailureNote from '@/shared/page/FailureNote.vue'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import BroughtIn from './BroughtIn.vue'
import KeepEverything from './KeepEverything.vue'
import SetTable from './SetTable.vue'

type Row = Schemas['SetRow']

const goOn = useGoOn()
const { busy, refusal, run, again } = useAction()
const typed = ref('')
const sought = refDebounced(typed, 120)
const unit = ref('')
const tag = ref('')
const areAside = ref(false)
const aside = usePuttingAside('sets')
const order = ref<'changed' | 'name'>('changed')
const query = computed(() => ({
  order: order.value,
  ...(sought.value.trim() && { words: sought.value.trim() }),
  ...(unit.value && { unit: unit.value }),
  ...(tag.value && { tag: tag.value }),
  ...(areAside.value && { aside: true }),
}))
const list = useListed<Row, { order: 'changed' | 'name' }>('sets', query, (wanted, cursor) =>
  result(api.GET('/api/sets', { params: { query: { ...wanted, cursor } } })),
)
const tags = useTags('sets')
const { chosen } = useChosen<Row>([query, aside.last])

function start(): Promise<boolean> {
  return run(async () => {
    const body = { title: '', instruction: '', house: {}, items: [] }
    const made = await result(api.POST('/api/sets', { body }))
    await goOn({ name: 'set', params: { id: made.id } })
  })
}
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="words.sets.title">
      <router-link :to="{ name: 'proofs' }">{{ words.proofs.title }}</router-link>
      <BroughtIn />
      <el-button type="primary" :disabled="busy" @click="start">{{ words.sets.start }}</el-button>
    </PageHead>
    <FiledList v-model:unit="unit">
      <form class="filters" role="search" @submit.prevent>
        <el-input
          v-model="typed"
          class="words"
          type="search"
          clearable
          maxlength="200"
          :placeholder="words.sets.filterHint"
          :aria-label="words.sets.filter"
        />
        <el-checkbox v-model="areAside">{{ words.examples.areAside }}</el-checkbox>
        <el-select
          v-if="tags.length"
          v-model="tag"
          class="tag"
          :empty-values="[null, undefined]"
          :aria-label="words.units.tag"
        >
          <el-option value="" :label="words.units.anyTag" />
          <el-option v-for="one in tags" :key="one" :value="one" :label="one" />
        </el-select>
      </form>
      <FailureNote :message="refusal" @again="again" />
      <AsideNote :aside="aside" />
      <FileUnder v-if="chosen.length && !areAside" kind="sets" :ids="chosen.map((row) => row.id)" />
      <WaitFor :pending="list.pending.value" :failure="list.failure.value" @again="list.again">
        <section v-if="!list.rows.value.length" class="empty">
          <template v-if="Object.keys(query).length === 1">
            <h2>{{ words.sets.none }}</h2>
            <p>{{ words.sets.noneSays }}</p>
          </template>
          <p v-else role="status">{{ words.sets.nothingFound }}</p>
        </section>
        <SetTable
          v-else
          ref="table"
          v-model:order="order"
          :rows="list.rows.value"
          :aside="aside"
          :are-aside="areAside"
          @chosen="(now) => (chosen = now)"
        />
        <MoreRows
          :has-more="list.hasMore.value"
          :busy="list.fetchingMore.value"
          @more="list.more"
        />
      </WaitFor>
      <KeepEverything v-if="!list.pending.value" />
    </FiledList>
  </main>
</template>

<style scoped src="./sets-place.css"></style>
