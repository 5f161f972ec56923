<script setup lang="ts">
/** What an account begins with: an example, a set, a class; each ticked off once it is there. */
import type { Schemas } from '@/api/client'
import Stop from '@/spine/Stop.vue'
import { words } from '@/texts/en'

defineProps<{ steps: Schemas['Steps'] }>()

const ORDER = ['example', 'set', 'school_class'] as const
const WHERE = {
  example: { name: 'bench', params: { id: 'new' } },
  set: { name: 'sets' },
  school_class: { name: 'classes' },
}
</script>

<template>
  <section class="first">
    <h2>{{ words.today.steps }}</h2>
    <p class="u-quiet">
      {{ words.today.stepsSays }}
      <router-link :to="{ name: 'first' }">{{ words.today.look }}</router-link>
    </p>
    <ol>
      <li v-for="(step, index) in ORDER" :key="step">
        <Stop :sign="String(index + 1)" :mark="steps[step] ? 'ok' : 'given'" mute />
        <span>
          <b v-if="steps[step]">{{ words.today.stepList[step][0] }}: {{ words.today.done }}</b>
          <router-link v-else :to="WHERE[step]">{{ words.today.stepList[step][0] }}</router-link>
          <span class="u-quiet">{{ words.today.stepList[step][1] }}</span>
        </span>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.first {
  border: 1px solid var(--rule);
  background: var(--sheet);
  padding: var(--space-5);
  margin-bottom: var(--space-5);
  max-width: 46rem;
}
ol {
  position: relative;
  list-style: none;
  margin: var(--space-3) 0 0;
  padding: 0;
  display: grid;
  gap: var(--space-4);
}
/* the three hang on one spine */
ol::before {
  content: '';
  position: absolute;
  left: calc(var(--spine-width) / 2 - 1px);
  top: var(--spine-width);
  bottom: var(--spine-width);
  border-left: 2px solid var(--ink);
}
li {
  position: relative;
  display: flex;
  gap: var(--space-3);
  align-items: center;
}
li > span {
  display: grid;
}
</style>
