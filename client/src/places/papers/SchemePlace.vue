<script setup lang="ts">
/** What the marks of an item are for: made from its worked lines, changed by the teacher. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import { useAction } from '@/api/useAction'
import MathText from '@/shared/math/MathText.vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import PaperWay from './PaperWay.vue'
import SchemeMarks from './SchemeMarks.vue'

const props = defineProps<{
  /** The sitting's id. */
  id: string
  /** The item's number, from 1. */
  number: string
}>()
type Mark = Schemas['SchemeMark']

const cache = useQueryClient()
const key = computed(() => ['scheme', props.id, Number(props.number), ''])
const path = () => ({ identity: props.id, number: Number(props.number) })
const { data, error, refetch } = useQuery({
  queryKey: key,
  queryFn: () =>
    result(api.GET('/api/sittings/{identity}/items/{number}/scheme', { params: { path: path() } })),
})
const marks = ref<Mark[]>([])
watch(data, (now) => (marks.value = (now?.marks ?? []).map((mark) => ({ ...mark }))), {
  immediate: true,
})
const missing = computed(() =>
  (data.value?.made ?? []).filter(({ key }) => !marks.value.some((mark) => mark.key === key)),
)
const { busy, refusal, run, again } = useAction()

function save(own: Mark[]): void {
  void run(async () => {
    const body = {
      marks: own.map(({ key, kind, worth, says, steps }) => ({ key, kind, worth, says, steps })),
    }
    const route = '/api/sittings/{identity}/items/{number}/scheme'
    cache.setQueryData(key.value, await result(api.PUT(route, { params: { path: path() }, body })))
    await cache.invalidateQueries({ queryKey: ['sitting', props.id] })
  })
}
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <p class="no-print">
      <router-link :to="{ name: 'item', params: { id, number } }">{{
        words.papers.item(Number(number))
      }}</router-link>
    </p>
    <WaitFor :pending="!data" :failure="saidOf(error)" @again="refetch">
      <template v-if="data">
        <PageHead :title="words.scheme.title(Number(number))">
          <template #beside>
            <MathText
              v-if="data.item.reads"
              :latex="data.item.reads.latex"
              :spoken="data.item.reads.spoken"
            />
          </template>
        </PageHead>
        <div class="both">
          <section>
            <p class="u-quiet">{{ data.is_own ? words.scheme.own : words.scheme.made }}</p>
            <SchemeMarks v-model="marks" :missing="missing" />
            <FailureNote :message="refusal" @again="again" />
            <p>
              <el-button type="primary" :disabled="busy || !marks.length" @click="save(marks)">
                {{ words.scheme.save }}
              </el-button>
              <el-button v-if="data.is_own" :disabled="busy" @click="save([])">
                {{ words.scheme.back }}
              </el-button>
            </p>
          </section>
          <PaperWay :sitting="id" :item="data.item" heading="h2" />
        </div>
      </template>
    </WaitFor>
  </main>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: var(--space-6);
}
@media (max-width: 900px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
