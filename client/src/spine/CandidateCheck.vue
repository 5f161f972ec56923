<script setup lang="ts">
/** A candidate put into the given: both sides worked out, and whether they balance. */
import type { components } from '@/api/schema'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'

defineProps<{
  /** The check of one candidate. */
  check: components['schemas']['CandidateCheck']
}>()
</script>

<template>
  <div class="candidate" :data-holds="check.holds">
    <MathText class="value" :latex="check.value_latex" />
    <div class="sides">
      <span
        v-for="(side, index) in [check.left_lines, check.right_lines]"
        :key="index"
        class="side"
      >
        <span class="u-quiet">{{ index ? words.bench.right : words.bench.left }}</span>
        <template v-for="(line, step) in side" :key="step">
          <span v-if="step" class="eq">=</span>
          <MathText :latex="line.latex" />
        </template>
      </span>
    </div>
    <span class="says"
      >{{ check.says }}<b v-if="check.missing" class="missing">{{ words.bench.missing }}</b></span
    >
  </div>
</template>

<style scoped>
.candidate {
  display: flex;
  align-items: center;
  gap: var(--space-5);
  flex-wrap: wrap;
}
.missing {
  display: block;
  color: var(--leave);
}
.value {
  white-space: nowrap;
  font-size: var(--type-lead);
}
.side > .u-quiet {
  min-width: 4.2rem;
}
[data-holds='false'] .value {
  background: linear-gradient(var(--leave), var(--leave)) no-repeat 0 60% / 100% 2px;
}
.sides {
  font-size: var(--type-lead);
  display: grid;
  gap: var(--space-1);
}
.side {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  flex-wrap: wrap;
}
.side + .side {
  border-top: 1px dotted var(--rule);
  padding-top: var(--space-1);
}
.eq {
  color: var(--quiet);
}
.says {
  font-weight: 700;
}
[data-holds='false'] .says {
  color: var(--leave);
}
</style>
