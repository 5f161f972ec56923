<script setup lang="ts">
/** A line with "or": the spine divides into tracks, each with its own stop. */
import { computed } from 'vue'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import Stop from './Stop.vue'
import type { Division } from './tracks'
import type { StopLine } from './types'

const props = defineProps<{
  line: StopLine
  division: Division
}>()

/** Half of the tracks on each side of the spine. */
const halves = computed(() => {
  const { tracks } = props.division
  const middle = Math.floor(tracks.length / 2)
  return [
    { side: 'to-left', tracks: tracks.slice(0, middle) },
    { side: 'to-right', tracks: tracks.slice(middle) },
  ] as const
})
const joins = computed(() => props.division.tracks.some((track) => track.below === 'joins'))
</script>

<template>
  <span
    v-for="(half, place) in halves"
    :key="half.side"
    class="half"
    :class="half.side"
    :data-from="division.goesOn ? 'tracks' : 'spine'"
    :data-joins="joins || undefined"
  >
    <span
      v-for="(track, index) in half.tracks"
      :key="index"
      class="track"
      :data-below="track.below"
    >
      <MathText
        class="from"
        :latex="track.left"
        :spoken="place || index ? ' ' : line.spoken"
        display
      />
      <span class="at"><Stop class="small" :sign="track.sign" :mark="line.mark" /></span>
      <MathText class="to" :latex="track.right" spoken=" " display />
    </span>
  </span>
  <span
    class="middle"
    aria-hidden="true"
    :data-from="division.goesOn ? 'tracks' : 'spine'"
    :data-joins="joins || undefined"
    >{{ line.sides?.join ?? words.spine.or }}</span
  >
</template>

<style scoped src="./divided-line.css"></style>
