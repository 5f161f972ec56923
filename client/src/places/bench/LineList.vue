<script setup lang="ts">
/** The written lines on the spine: choose, edit, insert, move and delete them; forks between them. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { dividedAs, withMarks } from '@/example/useMarks'
import { isLeaving } from '@/spine/marks'
import ForkStub from '@/spine/ForkStub.vue'
import SpineLine from '@/spine/SpineLine.vue'
import { divisions } from '@/spine/tracks'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'
import EntryLine from '@/entry/EntryLine.vue'
import { useLineList, type LineChanges } from './useLineList'

const props = defineProps<{
  given: StopLine
  stops: StopLine[]
  /** The lines as typed. */
  texts: string[]
  /** Whether the lines hang on the spine, without a left side. */
  hangs: boolean
  /** How many forks leave a line, by its number (0: the given). */
  forksAfter: (number: number) => number
  /** The line whose forks are drawn; null where none are. */
  forkedAt: number | null
  /** Lines that state what is pointed at beside the plot. */
  lit?: number[]
  /** Candidates that fail the check in the original, in LaTeX. */
  failing?: string[]
  /** The lines as a hand marks them, the given first; empty where nobody looks. */
  drawn?: readonly Schemas['DrawnLine'][]
}>()
const chosen = defineModel<number | null>('chosen', { required: true })
const editing = defineModel<number | null>('editing', { required: true })
const emit = defineEmits<LineChanges>()

const { text, inserting, note, choose, edit, insert, keep, keepNew, remove, move } = useLineList(
  () => props.texts,
  chosen,
  editing,
  emit,
)

const divided = computed(() => divisions(props.stops, props.failing))

/** The marks of the step to the chosen line, on the line above it and on itself. */
const marks = computed(() => props.drawn?.[(chosen.value ?? -1) + 1]?.marks ?? [])
function marked(stop: StopLine): StopLine {
  if (chosen.value === null) return stop
  const leaves = isLeaving(props.stops[chosen.value]?.mark ?? 'given')
  return { ...withMarks(stop, props.drawn?.[stop.number], marks.value), leaves }
}

defineExpose({ choose, edit, insert, remove })
</script>

<template>
  <div class="top">
    <SpineLine :line="marked(given)" />
    <span v-if="forksAfter(0)" class="stub-column">
      <ForkStub :count="forksAfter(0)" :open="forkedAt === 0" @open="emit('fork', 0)" />
    </span>
  </div>
  <ol class="lines" :aria-label="words.show.board">
    <li v-for="(stop, index) in stops" :key="index">
      <EntryLine
        v-if="inserting === index"
        v-model="text"
        :stop="null"
        :number="stop.number"
        :label="words.bench.insertLabel(stop.number)"
        :hangs="hangs"
        @keep="keepNew(index)"
        @leave="choose(index)"
      />
      <EntryLine
        v-if="editing === index"
        v-model="text"
        :stop="null"
        :number="stop.number"
        :label="words.bench.editLabel(stop.number)"
        :hangs="hangs"
        @keep="keep(index)"
        @leave="choose(index)"
      />
      <div
        v-else
        :ref="(element) => note(index, element)"
        class="choosable"
        role="button"
        tabindex="0"
        :aria-pressed="chosen === index"
        :data-stop="stop.mark"
        :data-lit="lit?.includes(index) || undefined"
        @mouseenter="emit('over', index)"
        @mouseleave="emit('over', null)"
        @click="choose(index)"
        @dblclick="edit(index)"
        @keydown.enter.exact.prevent="edit(index)"
        @keydown.insert.prevent="insert(index)"
        @keydown.up.exact.prevent="choose(index - 1)"
        @keydown.down.exact.prevent="choose(index + 1)"
        @keydown.up.alt.prevent="move(index, -1)"
        @keydown.down.alt.prevent="move(index, 1)"
        @keydown.delete.prevent="remove(index)"
        @keydown.escape="emit('leave')"
      >
        <SpineLine
          :line="marked(stop)"
          :chosen="chosen === index"
          :division="dividedAs(divided[index], marked(stop))"
        />
      </div>
      <span v-if="forksAfter(stop.number)" class="stub-column">
        <ForkStub
          :count="forksAfter(stop.number)"
          :open="forkedAt === stop.number"
          @open="emit('fork', stop.number)"
        />
      </span>
    </li>
  </ol>
</template>

<style scoped src="./line-list.css"></style>
