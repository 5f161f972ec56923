<script setup lang="ts">
/** The written lines on the spine: choose, edit, insert, move and delete them; forks between them. */
import { computed } from 'vue'
import ForkTrack from '@/spine/ForkTrack.vue'
import SpineLine from '@/spine/SpineLine.vue'
import { divisions } from '@/spine/tracks'
import type { StopLine } from '@/spine/types'
import type { components } from '@/api/schema'
import { words } from '@/texts/en'
import EntryLine from './EntryLine.vue'
import { useLineList, type LineChanges } from './useLineList'

type Fork = components['schemas']['Fork']
type ForkLine = components['schemas']['LawLine']

const props = defineProps<{
  given: StopLine
  stops: StopLine[]
  /** The lines as typed. */
  texts: string[]
  /** The forks that leave a line, by its number (0: the given). */
  forksAfter: (number: number) => Fork[]
  carry: (fork: Fork) => Promise<ForkLine[] | null>
  /** Lines that state what is pointed at beside the plot. */
  lit?: number[]
}>()
const chosen = defineModel<number | null>('chosen', { required: true })
const editing = defineModel<number | null>('editing', { required: true })
const emit = defineEmits<LineChanges>()

const { text, inserting, forked, note, choose, edit, insert, keep, keepNew, remove, move, toggle } =
  useLineList(() => props.texts, chosen, editing, emit)

const divided = computed(() =>
  divisions(props.stops, (number) => props.forksAfter(number).length > 0),
)

defineExpose({ choose, edit, insert, remove })
</script>

<template>
  <SpineLine class="top" :line="given" />
  <ForkTrack
    v-if="forksAfter(0).length"
    :forks="forksAfter(0)"
    :open="forked === 0"
    :carry="carry"
    @toggle="toggle(0)"
  />
  <ol class="lines">
    <li v-for="(stop, index) in stops" :key="index">
      <EntryLine
        v-if="inserting === index"
        v-model="text"
        :stop="null"
        :number="stop.number"
        :label="words.bench.insertLabel(stop.number)"
        @keep="keepNew(index)"
        @leave="choose(index)"
      />
      <EntryLine
        v-if="editing === index"
        v-model="text"
        :stop="null"
        :number="stop.number"
        :label="words.bench.editLabel(stop.number)"
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
        <SpineLine :line="stop" :chosen="chosen === index" :division="divided[index]" />
      </div>
      <ForkTrack
        v-if="forksAfter(stop.number).length"
        :forks="forksAfter(stop.number)"
        :open="forked === stop.number"
        :carry="carry"
        @toggle="toggle(stop.number)"
      />
    </li>
  </ol>
</template>

<style scoped src="./line-list.css"></style>
