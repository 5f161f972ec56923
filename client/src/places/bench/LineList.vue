<script setup lang="ts">
/** The written lines on the spine: choose, edit, insert, move and delete them; forks between them. */
import { nextTick, ref } from 'vue'
import ForkTrack from '@/spine/ForkTrack.vue'
import SpineLine from '@/spine/SpineLine.vue'
import type { StopLine } from '@/spine/types'
import type { components } from '@/api/schema'
import { words } from '@/texts/en'
import EntryLine from './EntryLine.vue'

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
const emit = defineEmits<{
  change: [index: number, text: string]
  remove: [index: number]
  /** A line is to be written before line `index`. */
  insert: [index: number, text: string]
  move: [index: number, by: number]
  /** A line is pointed at. */
  over: [index: number | null]
  /** The writer goes on below. */
  leave: []
}>()

const text = ref('')
/** Where a new line is being written between others; null when none is. */
const inserting = ref<number | null>(null)
/** The line whose forks are open; 0 is the given. */
const forked = ref<number | null>(null)
const elements = new Map<number, HTMLElement>()

/** Lines come and go while they are edited: each is found by its number. */
function note(index: number, element: unknown): void {
  if (element instanceof HTMLElement) elements.set(index, element)
  else elements.delete(index)
}

function focus(index: number): void {
  void nextTick(() => elements.get(index)?.focus())
}

function choose(index: number): void {
  if (index >= props.stops.length) {
    emit('leave')
    return
  }
  const to = Math.max(0, index)
  chosen.value = to
  editing.value = inserting.value = null
  focus(to)
}

function edit(index: number): void {
  text.value = props.texts[index] ?? ''
  inserting.value = null
  chosen.value = editing.value = index
}

function insert(index: number): void {
  text.value = ''
  editing.value = null
  inserting.value = index
}

function keep(index: number): void {
  emit('change', index, text.value)
  choose(index)
}

function keepNew(index: number): void {
  if (text.value.trim()) emit('insert', index, text.value)
  inserting.value = null
  choose(index)
}

function remove(index: number): void {
  emit('remove', index)
  void nextTick(() => {
    if (chosen.value === null) emit('leave')
    else elements.get(chosen.value)?.focus()
  })
}

function move(index: number, by: number): void {
  const to = index + by
  if (to < 0 || to >= props.stops.length) return
  emit('move', index, by)
  choose(to)
}

function toggle(number: number): void {
  forked.value = forked.value === number ? null : number
}

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
        <SpineLine :line="stop" :chosen="chosen === index" />
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
