<script setup lang="ts">
/** Typeset mathematics; screen readers get its spoken form. */
import katex from 'katex'
import 'katex/dist/katex.min.css'
import { computed } from 'vue'
import { withDecimals } from './decimal'

const props = defineProps<{
  /** LaTeX in math mode. */
  latex: string
  /** How it is said; without it the MathML inside speaks. */
  spoken?: string
  /** Whether fractions get their full size. */
  display?: boolean
}>()

const html = computed(() =>
  katex.renderToString((props.display ? '\\displaystyle ' : '') + withDecimals(props.latex), {
    throwOnError: false,
    output: props.spoken ? 'html' : 'htmlAndMathml',
    strict: false,
    trust: (context) => context.command === '\\htmlClass' && context.class === 'lit',
  }),
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
