<script setup lang="ts">
/** The spine with its lines, and where the next one is written. */
import { computed, useTemplateRef } from 'vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import EntryLine from '@/entry/EntryLine.vue'
import { hasSign } from '@/entry/sides'
import { sharesOf } from '@/spine/shares'
import { failingOf } from '@/spine/tracks'
import LineList from './LineList.vue'
import type { BenchPlace } from './useBenchPlace'
import type { Lights } from './useLights'

const props = defineProps<{
  bench: BenchPlace
  lights: Lights
  /** Whether the problem is being posed: there is no spine then. */
  showsPose: boolean
}>()

const { content, draft, chosen, editing, ended, forkedAt, forking, judging } = props.bench
const { failure, stops, draftStop, given } = judging
const { after } = props.bench.forks
const entry = useTemplateRef<InstanceType<typeof EntryLine>>('entry')
const list = useTemplateRef<InstanceType<typeof LineList>>('list')
/** Whether the lines hang on the spine: seen from what is typed until it is typeset. */
const hangs = computed(() =>
  given.value?.sides ? !given.value.sides.left : !hasSign(given.value?.text ?? ''),
)
/** What the check in the original strikes. */
const failing = computed(() => failingOf(judging.checked.value?.checks ?? []))
const rest = computed(() => {
  if (!content.value.lines.length) return words.bench.noLinesSays
  const answer = judging.checked.value?.answer
  if (!ended.value || !answer) return ''
  if (!answer.right) return words.bench.notAnswered
  return answer.finished ? words.bench.answerRight : words.bench.answerOpen
})

defineExpose({
  toEntry: () => entry.value?.focus(),
  edit: (index: number) => list.value?.edit(index),
  insert: (index: number) => list.value?.insert(index),
  remove: (index: number) => list.value?.remove(index),
})
</script>

<template>
  <FailureNote :message="failure?.message ?? ''" @again="judging.again" />
  <div
    v-if="!showsPose && given"
    class="u-spine on-bench"
    :class="{ hanging: hangs }"
    :style="sharesOf([given.text])"
  >
    <LineList
      ref="list"
      v-model:chosen="chosen"
      v-model:editing="editing"
      :given="given"
      :stops="stops"
      :texts="content.lines"
      :hangs="hangs"
      :forks-after="(number) => after(number).length"
      :forked-at="forking ? forkedAt : null"
      :lit="lights.litLines.value"
      :failing="failing"
      :drawn="bench.drawn.lines.value"
      @over="lights.over"
      @change="bench.editLine"
      @insert="bench.insertLine"
      @move="bench.moveLine"
      @remove="bench.removeLine"
      @fork="bench.forkAt"
      @leave="bench.goOn"
    />
    <EntryLine
      v-if="editing === null"
      ref="entry"
      v-model="draft"
      :stop="draftStop"
      :number="content.lines.length + 1"
      :label="words.bench.entryLabel"
      :hangs="hangs"
      :rest="rest"
      @keep="bench.keepOrEnd"
      @paste="bench.paste"
      @up="content.lines.length && list?.choose(content.lines.length - 1)"
      @leave="bench.goOn"
    />
  </div>
</template>

<style scoped>
.on-bench {
  margin-top: var(--space-3);
}
</style>
