<script setup lang="ts">
/** The spine with its lines, and where the next one is written. */
import { useTemplateRef } from 'vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import EntryLine from './EntryLine.vue'
import LineList from './LineList.vue'
import type { BenchPlace } from './useBenchPlace'
import type { Lights } from './useLights'

const props = defineProps<{
  bench: BenchPlace
  lights: Lights
  /** Whether the problem is being posed: there is no spine then. */
  showsPose: boolean
}>()

const { content, draft, chosen, editing, judging, forking } = props.bench
const { failure, stops, draftStop, given } = judging
const { forks, after, refused, isLooking, wantsMore, askForMore, again } = props.bench.forks
const entry = useTemplateRef<InstanceType<typeof EntryLine>>('entry')
const list = useTemplateRef<InstanceType<typeof LineList>>('list')

defineExpose({
  toEntry: () => entry.value?.focus(),
  edit: (index: number) => list.value?.edit(index),
  insert: (index: number) => list.value?.insert(index),
  remove: (index: number) => list.value?.remove(index),
})
</script>

<template>
  <FailureNote :message="failure?.message ?? ''" @again="judging.again" />
  <div v-if="!showsPose && given" class="u-spine on-bench" :class="{ hanging: !given.sides?.left }">
    <LineList
      ref="list"
      v-model:chosen="chosen"
      v-model:editing="editing"
      :given="given"
      :stops="stops"
      :texts="content.lines"
      :forks-after="after"
      :carry="bench.carry"
      :lit="lights.litLines.value"
      @over="lights.over"
      @change="bench.editLine"
      @insert="bench.insertLine"
      @move="bench.moveLine"
      @remove="bench.removeLine"
      @leave="bench.goOn"
    />
    <EntryLine
      v-if="editing === null"
      ref="entry"
      v-model="draft"
      :stop="draftStop"
      :number="content.lines.length + 1"
      :label="words.bench.entryLabel"
      @keep="bench.keepDraft"
      @paste="bench.paste"
      @up="content.lines.length && list?.choose(content.lines.length - 1)"
      @leave="bench.goOn"
    />
    <FailureNote v-if="forking" :message="refused" @again="again" />
    <p v-if="forking && !refused" class="u-quiet first" role="status">
      <template v-if="isLooking">{{ words.forks.looking }}</template>
      <template v-else-if="!forks.length">{{ words.forks.none }}</template>
      <el-button v-else-if="!wantsMore" @click="askForMore">{{ words.forks.more }}</el-button>
    </p>
    <p v-if="!content.lines.length && !draft" class="u-quiet first">
      {{ words.bench.noLinesSays }}
    </p>
  </div>
</template>

<style scoped>
.on-bench {
  margin-top: var(--space-4);
}
.first {
  padding-left: var(--space-7);
}
</style>
