<script setup lang="ts">
/** The problems of a set, each at its difficulty, joined by the line of the climb. */
import { computed, nextTick, ref } from 'vue'
import { FIRST, useGrowing } from '@/shared/composables/useGrowing'
import { words } from '@/texts/en'
import ClimbItem from './ClimbItem.vue'
import type { OpenSet } from './useSet'

/** The chosen problem, from 0. */
const chosen = defineModel<number | null>('chosen', { required: true })
const props = defineProps<{ set: OpenSet }>()
const emit = defineEmits<{ remove: [index: number] }>()

const { items, steps } = props.set
const drawn = useGrowing(() => items.value.length)
const rows = ref<{ focus: () => void }[]>([])
const dragged = ref<number | null>(null)
const hardest = computed(() => Math.max(1, ...steps.value.map((step) => step.score ?? 0)))

/** Where on the climb a problem stands, in per cent of its width. */
function across(index: number): number {
  return 4 + (92 * (steps.value[index]?.score ?? 0)) / hardest.value
}

const path = computed(() =>
  steps.value
    .map((step, index) => (step.score === null ? null : [across(index), index * 10 + 5]))
    .filter((point) => point !== null)
    .map(([x, y], n) => `${n ? 'L' : 'M'}${x} ${y}`)
    .join(' '),
)

function choose(index: number): void {
  if (index < 0 || index >= items.value.length) return
  chosen.value = index
  void nextTick(() => rows.value[index]?.focus())
}

function dropOn(index: number): void {
  if (dragged.value !== null) chosen.value = props.set.move(dragged.value, index - dragged.value)
  dragged.value = null
}

/** Take one out; the one that is in its place then, or the last, has the focus. */
function remove(index: number): void {
  emit('remove', index)
  void nextTick(() => rows.value[Math.min(index, items.value.length - 1)]?.focus())
}

/** Every row stands. */
const isDrawn = computed(() => drawn.value >= items.value.length)
defineExpose({ choose, isDrawn })
</script>

<template>
  <!-- the head stays as long as the climb is in sight -->
  <div>
    <div class="columns" aria-hidden="true">
      <span>{{ words.sets.problem }}</span>
      <span class="counts"
        ><i>{{ words.sets.marks }}</i
        ><i>{{ words.sets.minutes }}</i></span
      >
      <span class="scale"
        ><i>{{ words.sets.easier }}</i
        ><i>{{ words.sets.harder }}</i></span
      >
    </div>
    <div class="climb">
      <ol>
        <ClimbItem
          v-for="(item, index) in items.slice(0, drawn)"
          :key="item.example.id"
          :ref="(row) => row && (rows[index] = row as unknown as { focus: () => void })"
          v-model:marks="item.marks"
          v-model:minutes="item.minutes"
          :set="set"
          :item="item"
          :index="index"
          :across="across(index)"
          :chosen="chosen === index"
          :counts="index < FIRST || isDrawn"
          @choose="chosen = index"
          @go="choose"
          @remove="remove(index)"
          @drag="dragged = index"
          @drop-here="dropOn(index)"
        />
      </ol>
      <svg
        class="line"
        :viewBox="`0 0 100 ${items.length * 10}`"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path :d="path" vector-effect="non-scaling-stroke" />
      </svg>
    </div>
  </div>
  <p class="u-quiet">{{ words.sets.keys }}</p>
</template>

<style scoped src="./set-climb.css"></style>
