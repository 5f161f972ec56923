<script setup lang="ts">
/** A sentence with its mathematics typeset; readers get the spoken form inside it. */
import { computed } from 'vue'
import MathText from './MathText.vue'

/** Words, or mathematics. */
interface Piece {
  text?: string | null
  math?: { text: string; latex: string; spoken: string } | null
}

const props = defineProps<{
  /** The sentence as plain text; shown where there are no pieces. */
  text: string | null | undefined
  /** Its words and mathematics in order. */
  pieces?: readonly Piece[] | null
}>()

const shown = computed(() => (props.pieces?.length ? props.pieces : [{ text: props.text ?? '' }]))
</script>

<template>
  <span class="sentence">
    <template v-for="(piece, index) in shown" :key="index">
      <MathText v-if="piece.math" :latex="piece.math.latex" :spoken="piece.math.spoken" />
      <template v-else>{{ piece.text }}</template>
    </template>
  </span>
</template>

<style scoped>
/* a formula is not parted from the stop after it */
.sentence :deep(.katex) {
  font-size: 1.06em;
}
</style>
