<script setup lang="ts">
/** A page to print: its way back, its actions, what refused it, and the paper itself. */
import type { RouteLocationRaw } from 'vue-router'
import { words } from '@/texts/en'
import WaitFor from './WaitFor.vue'

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
  <main id="main" class="place" tabindex="-1">
    <header class="ways no-print">
      <router-link :to="back">{{ backTo }}</router-link>
      <slot name="actions" />
      <el-button type="primary" :disabled="!ready" @click="print">{{ words.key.print }}</el-button>
    </header>
    <WaitFor :pending="!ready" :failure="refusal" @again="$emit('again')" />
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
.ways {
  display: flex;
  align-items: center;
  gap: var(--space-5);
  margin-bottom: var(--space-4);
}
.ways > a:first-child {
  margin-right: auto;
}
.sheet {
  background: var(--sheet);
  border: 1px solid var(--rule);
  padding: var(--space-6) var(--space-7);
  max-width: 54rem;
  margin: 0 auto;
}
.sheet > header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
h1 {
  margin: 0 0 var(--space-2);
}
@media print {
  .sheet {
    border: 0;
    padding: 0;
    max-width: none;
  }
}
</style>
