<script setup lang="ts">
/** The card of the pages that are there before somebody is signed in. */
import { words } from '@/texts/en'
</script>

<template>
  <main id="main" class="front" tabindex="-1">
    <div class="card">
      <h1>{{ words.product }}</h1>
      <slot />
    </div>
  </main>
</template>

<style scoped>
.front {
  min-height: 100vh;
  display: grid;
  place-items: center;
}
.card {
  width: 22rem;
  max-width: 100%;
  background: var(--sheet);
  border: 1px solid var(--rule);
  border-top: 4px solid var(--ink);
  padding: var(--space-6);
}
h1 {
  margin: 0;
}
</style>
