<script setup lang="ts">
/** One item of a paper: its lines typed and on the spine, its marks beside them. */
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import PaperComment from './PaperComment.vue'
import PaperMarks from './PaperMarks.vue'
import PaperSpine from './PaperSpine.vue'
import PaperWay from './PaperWay.vue'

const props = defineProps<{
  /** The sitting's id. */
  sitting: string
  /** The student's id. */
  student: number
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
  comment: [body: Schemas['CommentIn']]
  markAgain: []
}>()

const showsWay = ref(false)
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
      <el-button
        class="no-print"
        size="small"
        link
        type="primary"
        :aria-expanded="showsWay"
        @click="showsWay = !showsWay"
        >{{ words.scheme.way }}</el-button
      >
      <small class="u-quiet saved no-print" role="status">{{
        unsaved ? words.papers.saving : work.lines.length ? words.papers.saved : ''
      }}</small>
    </div>
    <div class="u-spine" :class="{ hanging: !item.reads?.sides.left }">
      <PaperSpine :sitting="sitting" :student="student" :item="item" :work="work" />
      <FailureNote :message="work.refused" :final="!work.late" @again="$emit('markAgain')" />
      <PaperWay v-if="showsWay" :sitting="sitting" :item="item" />
    </div>
    <div>
      <PaperMarks :work="work" @decide="(body) => $emit('decide', body)" />
      <PaperComment
        v-if="work.lines.length"
        :work="work"
        @comment="(body) => $emit('comment', body)"
      />
    </div>
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
.saved {
  margin-left: var(--space-3);
}
@container paper (max-width: 62rem) {
  .item {
    grid-template-columns: 13rem minmax(0, 1fr);
  }
  .item > :last-child {
    grid-column: 2;
  }
}
@container paper (max-width: 40rem) {
  .item {
    grid-template-columns: minmax(0, 1fr);
  }
  .item > :last-child {
    grid-column: 1;
  }
}
</style>
