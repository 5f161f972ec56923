<script setup lang="ts">
/** What the kernel says of an own error: whether it is one, and what it makes of lines that are tried. */
import type { Schemas } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'

defineProps<{
  examined: Schemas['Examined'] | null
  /** Why it cannot be examined; '' where it can. */
  refusal: string
}>()
</script>

<template>
  <div class="examined" aria-live="polite">
    <p v-if="refusal" class="u-warm">{{ refusal }}</p>
    <template v-else-if="examined">
      <p>
        <b>{{ words.errors.is[examined.is] }}</b>
        {{ examined.is === 'error' ? readable(examined.counter ?? '') : examined.says }}
      </p>
      <ul>
        <li v-for="tried in examined.examples" :key="tried.line">
          <code>{{ readable(tried.line) }}</code>
          <template v-if="tried.failure"> {{ tried.failure.message }}</template>
          <template v-else-if="!tried.becomes.length"> {{ words.errors.fitsNowhere }}</template>
          <template v-for="item in tried.becomes" :key="item.text">
            → <MathText :latex="item.latex" />
            <span class="u-quiet">
              {{ words.errors.tried[item.verdict === 'ok' ? 'ok' : 'wrong'] }}</span
            >
          </template>
        </li>
      </ul>
    </template>
    <p v-else class="u-quiet">{{ words.errors.ownLead }}</p>
  </div>
</template>

<style scoped>
li > * {
  margin-right: var(--space-2);
}
.examined p {
  margin: 0;
}
ul {
  margin: var(--space-1) 0 0;
  padding: 0;
  list-style: none;
}
</style>
