<script setup lang="ts">
/** Notation that others may read differently: both readings, typeset, with what each comes to. */
import type { Schemas } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'

defineProps<{ item: Schemas['Ambiguity'] }>()
</script>

<template>
  <p class="ambiguity">
    {{ item.says }}
    <span v-for="(reading, index) in item.readings" :key="reading.text" class="reading">
      {{ index ? words.bench.also : words.bench.readAs }}
      <MathText :latex="reading.latex" />
      <template v-if="reading.value"> = {{ readable(reading.value) }}</template>
    </span>
  </p>
</template>

<style scoped>
.ambiguity {
  margin: var(--space-1) 0;
}
.reading {
  display: block;
  margin-left: var(--space-5);
}
</style>
