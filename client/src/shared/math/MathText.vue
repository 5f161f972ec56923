<script setup lang="ts">
/** Typeset mathematics; screen readers get its spoken form. */
import { computed } from 'vue'
import { withDecimals } from './decimal'
import { typeset } from './typeset'

const props = defineProps<{
  /** LaTeX in math mode. */
  latex: string
  /** How it is said; without it the MathML inside speaks. */
  spoken?: string
  /** Whether fractions get their full size. */
  display?: boolean
}>()

const html = computed(() =>
  typeset((props.display ? '\\displaystyle ' : '') + withDecimals(props.latex), !props.spoken),
)
</script>

<template>
  <!-- eslint-disable vue/no-v-html : KaTeX escapes its input and trusts one class name only -->
  <span v-if="spoken" class="math">
    <span class="u-unseen">{{ spoken }}</span>
    <span aria-hidden="true" v-html="html" />
  </span>
  <span v-else class="math" v-html="html" />
</template>
