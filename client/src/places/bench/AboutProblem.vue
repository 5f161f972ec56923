<script setup lang="ts">
/** About the problem: what is worth noticing before the first move, how it reads, the ways to work it. */
import type { Schemas } from '@/api/client'
import SentenceText from '@/shared/math/SentenceText.vue'
import { methodName, readable } from '@/shared/logic/readable'
import { words } from '@/texts/en'

defineProps<{
  /** What the core noticed. */
  inspected: Schemas['Inspected']
}>()
defineEmits<{
  /** Work it by this method. */
  work: [method: string]
  /** Two methods are to stand side by side. */
  compare: []
}>()
</script>

<template>
  <section class="about">
    <h2>{{ words.bench.notices }}</h2>
    <ul class="notices" :aria-label="words.bench.notices">
      <li>{{ inspected.kind }}</li>
      <li v-for="value in inspected.excluded" :key="value">
        {{ inspected.unknown }} ≠ {{ readable(value) }}
      </li>
      <li v-for="notice in inspected.notices" :key="notice.code + notice.where">
        <SentenceText :text="notice.says" :pieces="notice.parts" />
      </li>
    </ul>
    <p class="spoken">{{ words.bench.readsBack }}: {{ inspected.reads.spoken }}.</p>
    <template v-if="inspected.methods.length">
      <h2>{{ words.bench.methods }}</h2>
      <ul class="methods">
        <li v-for="item in inspected.methods" :key="item.method">
          <el-tooltip :content="item.why" :show-after="300">
            <button type="button" class="method" @click="$emit('work', item.method)">
              {{ methodName(item.method) }} <small>{{ words.bench.lines(item.lines) }}</small>
            </button>
          </el-tooltip>
        </li>
      </ul>
      <button
        v-if="inspected.methods.length > 1"
        type="button"
        class="method"
        @click="$emit('compare')"
      >
        {{ words.compare.open }}
      </button>
    </template>
  </section>
</template>

<style scoped>
ul {
  margin: 0 0 var(--space-4);
  padding: 0;
  list-style: none;
  font-size: var(--type-note);
}
.notices li {
  padding-left: var(--space-4);
  position: relative;
}
.notices li::before {
  content: '';
  position: absolute;
  left: 0;
  top: 0.65em;
  width: 0.5rem;
  border-top: 2px solid var(--ink);
}
.spoken {
  margin: 0 0 var(--space-4);
  color: var(--quiet);
  font-size: var(--type-note);
}
.method {
  border: 0;
  background: none;
  padding: 0.15rem 0;
  font: inherit;
  font-size: var(--type-note);
  color: var(--ink);
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
small {
  color: var(--quiet);
}
</style>
