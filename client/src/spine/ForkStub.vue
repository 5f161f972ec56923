<script setup lang="ts">
/** Where students leave a line: a short track off the spine with their number of ways; it takes no room of its own. */
import { words } from '@/texts/en'

defineProps<{
  /** How many ways leave here. */
  count: number
  /** Whether these are the ones that are drawn. */
  open: boolean
}>()
defineEmits<{ open: [] }>()
</script>

<template>
  <button
    type="button"
    class="stub"
    :aria-pressed="open"
    :aria-label="words.forks.leave(count)"
    :title="words.forks.leave(count)"
    @click="$emit('open')"
  >
    <svg viewBox="0 0 28 24" aria-hidden="true">
      <path class="curve" d="M1 0C1 8 3 12 8 12" />
      <path class="mark" d="M17.500 2.500 27 12 17.500 21.500 8 12Z" />
      <text x="17.500" y="16" text-anchor="middle">{{ count }}</text>
    </svg>
  </button>
</template>

<style scoped>
.stub {
  z-index: 2;
  width: 1.75rem;
  height: 1.5rem;
  margin: 0 0 -0.75rem calc(var(--spine-width) / 2 - 1px);
  padding: 0;
  border: 0;
  background: none;
  line-height: 0;
  cursor: pointer;
}
.curve {
  fill: none;
  stroke: var(--leave-soft);
  stroke-width: 2;
}
.mark {
  fill: var(--paper);
  stroke: var(--leave);
  stroke-width: 1.6;
}
.stub[aria-pressed='true'] .mark {
  fill: var(--leave);
}
text {
  fill: var(--leave);
  font:
    700 11px 'Plain Zero',
    'Atkinson Hyperlegible',
    sans-serif;
}
.stub[aria-pressed='true'] text {
  fill: var(--paper);
}
@media print {
  .stub {
    display: none;
  }
}
</style>
