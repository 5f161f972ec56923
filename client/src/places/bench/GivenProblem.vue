<script setup lang="ts">
/** The posed problem: in words, and what is worth noticing before the first move. */
import type { Schemas } from '@/api/client'
import SentenceText from '@/shared/math/SentenceText.vue'
import { words } from '@/texts/en'
import AmbiguousReading from './AmbiguousReading.vue'
import { methodName, readable } from '@/shared/logic/readable'

defineProps<{
  /** What the core noticed. */
  inspected: Schemas['Inspected']
}>()
const emit = defineEmits<{
  /** The problem is to be edited. */
  edit: []
  /** Work it by this method. */
  work: [method: string]
  /** Two methods are to stand side by side. */
  compare: []
}>()
</script>

<template>
  <section class="given">
    <div class="row">
      <span class="spoken">{{ inspected.reads.spoken }}.</span>
      <el-tooltip content="Alt+G" :show-after="400">
        <el-button link type="primary" @click="emit('edit')">{{ words.bench.edit }}</el-button>
      </el-tooltip>
      <slot />
    </div>
    <ul class="notices" :aria-label="words.bench.notices">
      <li>{{ inspected.kind }}</li>
      <li v-for="value in inspected.excluded" :key="value">
        {{ inspected.unknown }} ≠ {{ readable(value) }}
      </li>
      <li v-for="notice in inspected.notices" :key="notice.code + notice.where">
        <SentenceText :text="notice.says" :pieces="notice.parts" />
      </li>
    </ul>
    <AmbiguousReading v-for="item in inspected.ambiguities" :key="item.says" :item="item" />
    <div v-if="inspected.methods.length" class="methods">
      <span class="u-quiet">{{ words.bench.methods }}</span>
      <el-tooltip
        v-for="item in inspected.methods"
        :key="item.method"
        :content="item.why"
        :show-after="300"
      >
        <button type="button" class="method" @click="emit('work', item.method)">
          {{ methodName(item.method) }} <small>{{ words.bench.lines(item.lines) }}</small>
        </button>
      </el-tooltip>
      <button
        v-if="inspected.methods.length > 1"
        type="button"
        class="method beside"
        @click="emit('compare')"
      >
        {{ words.compare.open }}
      </button>
    </div>
  </section>
</template>

<style scoped>
.given {
  display: grid;
  gap: var(--space-3);
}
.row {
  display: flex;
  align-items: center;
  gap: var(--space-5);
}
.spoken {
  color: var(--quiet);
  font-size: var(--type-note);
}
.notices {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-5);
  margin: 0;
  padding: 0;
  list-style: none;
  font-size: var(--type-note);
}
.notices li {
  border-bottom: 1px dotted var(--ink);
}
.methods {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-4);
  align-items: baseline;
  font-size: var(--type-note);
}
.beside {
  margin-left: auto;
}
.method {
  border: 0;
  background: none;
  padding: 0.1rem 0;
  font: inherit;
  color: var(--ink);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
small {
  color: var(--quiet);
}
</style>
