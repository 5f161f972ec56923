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

/** A stop or comma after a formula stays on its line. */
const STOPS = /^[.,;:?!)]+/

const shown = computed(() => {
  const pieces = props.pieces?.length ? props.pieces : [{ text: props.text ?? '' }]
  return pieces.map((piece, index) => {
    const after = piece.math ? (pieces[index + 1]?.text?.match(STOPS)?.[0] ?? '') : ''
    const isAfterMath = index > 0 && !!pieces[index - 1]?.math
    const text = piece.text ?? ''
    return { math: piece.math, text: isAfterMath ? text.replace(STOPS, '') : text, after }
  })
})
</script>

<template>
  <span class="sentence" :data-says="text">
    <template v-for="(piece, index) in shown" :key="index">
      <span v-if="piece.math" class="whole"
        ><MathText :latex="piece.math.latex" :spoken="piece.math.spoken" />{{ piece.after }}</span
      >
      <template v-else>{{ piece.text }}</template>
    </template>
  </span>
</template>

<style scoped>
.sentence :deep(.katex) {
  font-size: 1.06em;
}
.whole {
  white-space: nowrap;
}
</style>
