<script setup lang="ts">
/** One item of a paper: its lines typed and on the spine, its marks beside them. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { givenStop, writtenStops } from '@/example/stops'
import FailureNote from '@/shared/page/FailureNote.vue'
import SpineLine from '@/spine/SpineLine.vue'
import { divisions } from '@/spine/tracks'
import { words } from '@/texts/en'
import PaperMarks from './PaperMarks.vue'

const props = defineProps<{
  item: Schemas['GivenItem']
  work: Schemas['WorkOut']
  /** Its lines as they are typed now. */
  text: string
  /** Whether what is typed is not stored yet. */
  unsaved: boolean
}>()
defineEmits<{
  typed: [text: string]
  store: []
  decide: [body: Schemas['DecisionIn']]
  markAgain: []
}>()

const stops = computed(() => [
  ...(props.item.reads ? [givenStop(props.item.reads, '')] : []),
  ...writtenStops(props.work.checked),
])
const divided = computed(() => divisions(stops.value))
const rows = computed(() => Math.max(2, props.text.split('\n').length + 1))
</script>

<template>
  <section :id="`item-${item.number}`" class="item">
    <div class="written">
      <h2>
        {{ words.papers.item(item.number) }}
        <span class="u-quiet">{{ words.tasks[item.task as keyof typeof words.tasks] }}</span>
      </h2>
      <el-input
        class="no-print"
        type="textarea"
        :model-value="text"
        :rows="rows"
        maxlength="20000"
        spellcheck="false"
        :aria-label="words.papers.lines(item.number)"
        :placeholder="words.papers.typeHere"
        @update:model-value="(now: string) => $emit('typed', now)"
        @blur="$emit('store')"
      />
      <small class="u-quiet no-print" role="status">{{
        unsaved ? words.papers.saving : work.lines.length ? words.papers.saved : ''
      }}</small>
    </div>
    <div class="u-spine" :class="{ hanging: !stops[0]?.sides?.left }">
      <div v-for="(stop, index) in stops" :key="index">
        <SpineLine :line="stop" :division="divided[index]" />
      </div>
      <FailureNote :message="work.refused" :final="!work.late" @again="$emit('markAgain')" />
    </div>
    <PaperMarks :work="work" @decide="(body) => $emit('decide', body)" />
  </section>
</template>

<style scoped>
.item {
  display: grid;
  grid-template-columns: 13rem minmax(0, 1fr) 19rem;
  gap: var(--space-5);
  padding: var(--space-4) 0;
  border-top: 1px solid var(--rule);
  break-inside: avoid;
}
h2 {
  margin: 0 0 var(--space-2);
}
@media (max-width: 1100px) {
  .item {
    grid-template-columns: 13rem minmax(0, 1fr);
  }
  .item > :last-child {
    grid-column: 2;
  }
}
@media (max-width: 700px) {
  .item {
    grid-template-columns: minmax(0, 1fr);
  }
  .item > :last-child {
    grid-column: 1;
  }
}
</style>
