<script setup lang="ts">
/** What stands beside the chosen line on a board: small calculations, pairs, boxes, a number line. */
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import type { Content } from '@/example/content'
import { problemOf } from '@/example/problem'
import FailureNote from '@/shared/page/FailureNote.vue'
import SideWork from '@/spine/beside/SideWork.vue'
import { words } from '@/texts/en'

const props = defineProps<{
  content: Content
  /** The number of the chosen line. */
  line: number
}>()
const open = defineModel<boolean>('open', { required: true })
defineEmits<{
  /** Lines to be written before the chosen one. */
  write: [lines: string[]]
}>()

const text = computed(() => JSON.stringify(problemOf(props.content)))
const asked = refDebounced(text, 250)
const { data, error, refetch } = useQuery({
  queryKey: computed(() => ['beside', asked.value]),
  queryFn: ({ signal }) => {
    const body = JSON.parse(asked.value) as Schemas['ProblemIn']
    return result(api.POST('/api/algebra/beside', { body, signal }))
  },
  staleTime: Infinity,
  gcTime: 60_000,
})
const works = computed(() =>
  asked.value === text.value
    ? (data.value?.works ?? []).filter((one) => one.line === props.line)
    : [],
)
</script>

<template>
  <section v-if="works.length || error" class="beside-line">
    <h2>
      <button type="button" :aria-expanded="open" title="Alt+B" @click="open = !open">
        {{ words.sideWork.title }} <span class="u-quiet">{{ works.length }}</span>
      </button>
    </h2>
    <FailureNote :message="saidOf(error)" @again="refetch" />
    <template v-if="open">
      <div v-for="work in works" :key="`${work.kind} ${work.says}`" class="one">
        <SideWork :work="work" />
        <el-button v-if="work.lines.length" size="small" @click="$emit('write', work.lines)">
          {{ words.sideWork.write }}
        </el-button>
      </div>
    </template>
  </section>
</template>

<style scoped>
h2 {
  margin: 0;
}
button[aria-expanded] {
  all: unset;
  cursor: pointer;
  font-weight: 700;
}
button[aria-expanded]::before {
  content: '▸ ';
}
button[aria-expanded='true']::before {
  content: '▾ ';
}
button[aria-expanded]:focus-visible {
  outline: 3px solid var(--ink);
}
.one {
  display: grid;
  gap: var(--space-2);
  justify-items: start;
  margin-top: var(--space-3);
  overflow-x: auto;
}
</style>
