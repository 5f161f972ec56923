<script setup lang="ts">
/** Beside the entry: what can be typed, each put in by a key or a click, its spelling in the tip. */
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import { SIGNS, type TypedSign } from './signs'

defineEmits<{ insert: [sign: TypedSign] }>()
</script>

<template>
  <span class="signs" role="group" :aria-label="words.bench.signs">
    <el-tooltip
      v-for="sign in SIGNS"
      :key="sign.key"
      :content="`${words.bench.typedAs(sign.example)} · ${sign.key}`"
      :show-after="300"
    >
      <button
        type="button"
        tabindex="-1"
        :aria-label="words.bench.signNames[sign.name]"
        @mousedown.prevent
        @click="$emit('insert', sign)"
      >
        <MathText :latex="sign.latex" spoken=" " />
      </button>
    </el-tooltip>
  </span>
</template>

<style scoped>
.signs {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1);
}
button {
  min-width: 2rem;
  height: 1.8rem;
  padding: 0 var(--space-2);
  border: 1px solid var(--rule);
  border-radius: var(--round);
  background: var(--sheet);
  color: var(--ink);
  font-size: var(--type-note);
  cursor: pointer;
}
button:hover {
  border-color: var(--ink);
}
</style>
