<script setup lang="ts">
/** What stands beside the chosen line on a board: small calculations, pairs, boxes, a number line. */
import { computed, ref } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import type { Content } from '@/example/content'
import { problemOf } from '@/example/problem'
import { useAnswered } from '@/example/useAnswered'
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

const problem = computed(() => problemOf(props.content))
const { answer, error, refetch } = useAnswered('beside', problem, ref(true), (body, signal) =>
  result(api.POST('/api/algebra/beside', { body, signal })),
)
const works = computed(() => (answer.value?.works ?? []).filter((one) => one.line === props.line))
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
