<script setup lang="ts">
/** A page to print: its way back, its actions, what refused it, and the paper itself. */
import type { RouteLocationRaw } from 'vue-router'
import { words } from '@/texts/en'

defineProps<{
  back: RouteLocationRaw
  /** The words of the way back. */
  backTo: string
  /** Why there is nothing to print; empty when nothing is wrong. */
  refusal: string
  /** Whether the paper can be drawn. */
  ready: boolean
  title: string
}>()
defineEmits<{ again: [] }>()

function print(): void {
  window.print()
}
</script>

<template>
  <main class="page">
    <header class="head no-print">
      <router-link :to="back">{{ backTo }}</router-link>
      <span class="gap" />
      <slot name="actions" />
      <el-button type="primary" :disabled="!ready" @click="print">{{ words.key.print }}</el-button>
    </header>
    <p v-if="refusal" role="alert" class="warm">
      {{ refusal }} <el-button @click="$emit('again')">{{ words.show.again }}</el-button>
    </p>
    <article v-if="ready" class="sheet">
      <header>
        <h1>{{ title }}</h1>
        <slot name="beside" />
      </header>
      <slot />
    </article>
  </main>
</template>

<style scoped>
.head {
  gap: 1.1rem;
}
.sheet {
  background: var(--sheet);
  border: 1px solid var(--rule);
  padding: 2rem 2.4rem;
  max-width: 54rem;
  margin: 0 auto;
}
.sheet > header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
h1 {
  margin: 0 0 0.5rem;
}
@media print {
  .sheet {
    border: 0;
    padding: 0;
    max-width: none;
  }
}
</style>
