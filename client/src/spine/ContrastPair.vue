<script setup lang="ts">
/** The error's own small line, wrong and right; beside it one that looks alike and comes out otherwise. */
import type { components } from '@/api/schema'
import MathText from '@/shared/math/MathText.vue'
import Stop from './Stop.vue'
import { words } from '@/texts/en'

defineProps<{ contrast: components['schemas']['Contrast'] }>()
</script>

<template>
  <div class="pair">
    <div>
      <MathText :latex="contrast.before.latex" :spoken="contrast.before.spoken" />
      <span
        ><Stop class="small" sign="≠" mark="wrong" /><MathText
          :latex="contrast.wrong.latex"
          :spoken="contrast.wrong.spoken"
      /></span>
      <span
        ><Stop class="small" sign="=" mark="ok" /><MathText
          :latex="contrast.right.latex"
          :spoken="contrast.right.spoken"
      /></span>
    </div>
    <div v-if="contrast.beside && contrast.becomes">
      <MathText :latex="contrast.beside.latex" :spoken="contrast.beside.spoken" />
      <span
        ><Stop class="small" sign="=" mark="ok" /><MathText
          :latex="contrast.becomes.latex"
          :spoken="contrast.becomes.spoken"
      /></span>
      <small class="u-quiet">{{ words.log.alike }}</small>
    </div>
  </div>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--space-4);
  border-left: 2px solid var(--ink);
  padding-left: var(--space-4);
  margin-bottom: var(--space-3);
}
.pair > div {
  display: grid;
  gap: var(--space-1);
  align-content: start;
  min-width: 0;
  overflow-x: auto;
}
.pair span {
  display: flex;
  gap: var(--space-2);
  align-items: center;
}
.small {
  width: 1.3rem;
  height: 1.3rem;
}
</style>
