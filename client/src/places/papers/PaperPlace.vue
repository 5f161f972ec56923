<script setup lang="ts">
/** One student's paper, item by item: what was written on its spine, the marks with their reasons. */
import { computed, nextTick, watch } from 'vue'
import { onBeforeRouteLeave, onBeforeRouteUpdate, useRoute, useRouter } from 'vue-router'
import { saidOf } from '@/api/queries'
import { useKeys } from '@/shared/composables/useKeys'
import FailureNote from '@/shared/page/FailureNote.vue'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import PaperItem from './PaperItem.vue'
import { usePaper } from './usePaper'
import ScanBeside from './ScanBeside.vue'
import VersionSelect from './VersionSelect.vue'
import { rowsOf } from './rows'
import { useScans } from './useScans'
import { useSitting } from './useSitting'

const props = defineProps<{
  /** The sitting's id. */
  id: string
  /** The student's id. */
  student: string
}>()

const route = useRoute()
const router = useRouter()
const { grid } = useSitting(() => props.id)
const { paper, query, typed, action, textOf, store, decide, markAgain, comment, had } = usePaper(
  () => props.id,
  () => Number(props.student),
)
const rows = computed(() =>
  grid.value ? rowsOf(grid.value, { asking: false, error: '', by: 'code' }) : [],
)
const students = computed(() => rows.value.map((row) => row.student))
const place = computed(() => students.value.findIndex(({ id }) => id === Number(props.student)))
const total = computed(() => rows.value[place.value]?.total ?? null)
const scans = useScans(() => props.id)
const hasScan = computed(() =>
  scans.pages.value.some(({ student }) => student === Number(props.student)),
)
const items = computed(() =>
  (paper.value?.items ?? []).flatMap((item) => {
    const work = paper.value?.works.find((one) => one.item === item.id)
    return work ? [{ item, work }] : []
  }),
)

/** What is typed is stored before the paper is left. */
async function storeAll(): Promise<boolean> {
  for (const { work } of items.value) await store(work)
  return typed.size === 0
}
onBeforeRouteUpdate(storeAll)
onBeforeRouteLeave(storeAll)

function go(by: number): void {
  const next = students.value[place.value + by]
  if (next) void router.push({ name: 'paper', params: { id: props.id, student: next.id } })
}
/** The next paper of the sitting that asks for a decision. */
function goAsking(): void {
  const order = [...rows.value.slice(place.value + 1), ...rows.value.slice(0, place.value)]
  const next = order.find((row) => row.cells.some((cell) => cell?.asks))?.student
  if (next) void router.push({ name: 'paper', params: { id: props.id, student: next.id } })
}
useKeys({
  'Alt+ArrowRight': () => go(1),
  'Alt+ArrowLeft': () => go(-1),
  'Alt+ArrowDown': goAsking,
})
watch(
  [() => props.student, () => items.value.length],
  async () => {
    await nextTick()
    if (route.hash) document.querySelector(route.hash)?.scrollIntoView()
  },
  { immediate: true },
)
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <p class="no-print">
      <router-link :to="{ name: 'sitting', params: { id } }">{{ grid?.title }}</router-link>
    </p>
    <WaitFor
      :pending="query.isPending.value || !grid"
      :failure="saidOf(query.error.value)"
      @again="query.refetch"
    >
      <template v-if="paper && grid">
        <PageHead :title="words.papers.open(paper.student.code)">
          <template #beside>
            <b v-if="total">{{ words.papers.earned(total.earned, total.of) }}</b>
            <VersionSelect
              :versions="paper.versions"
              :model-value="paper.version"
              @update:model-value="had"
            />
          </template>
          <el-button :disabled="place < 1" @click="go(-1)">{{ words.papers.previous }}</el-button>
          <el-button @click="goAsking">{{ words.papers.nextAsking }}</el-button>
          <el-button type="primary" :disabled="place >= students.length - 1" @click="go(1)">
            {{ words.papers.next }}
          </el-button>
        </PageHead>
        <p class="u-quiet no-print">{{ words.papers.keys }}</p>
        <FailureNote :message="action.refusal.value" @again="storeAll" />
        <div :class="{ scanned: hasScan }">
          <ScanBeside v-if="hasScan" :scans="scans" :student="paper.student" />
          <div class="items">
            <PaperItem
              v-for="{ item, work } in items"
              :key="`${student} ${item.id}`"
              :student="Number(student)"
              :sitting="id"
              :item="item"
              :work="work"
              :text="textOf(work)"
              :unsaved="typed.has(work.item)"
              @typed="(text) => typed.set(work.item, text)"
              @store="store(work)"
              @decide="decide"
              @comment="comment"
              @mark-again="markAgain"
            />
          </div>
        </div>
      </template>
    </WaitFor>
  </main>
</template>

<style scoped>
.items {
  container: paper / inline-size;
}
.scanned {
  display: grid;
  grid-template-columns: minmax(14rem, 24rem) minmax(0, 1fr);
  gap: var(--space-5);
}
@media (max-width: 900px) {
  .scanned {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
