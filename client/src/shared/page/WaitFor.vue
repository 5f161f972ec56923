<script setup lang="ts">
/** Says that something is being loaded, or why it could not be; shows it once it is there. */
import { words } from '@/texts/en'
import FailureNote from './FailureNote.vue'

defineProps<{
  /** Nothing is there yet. */
  pending: boolean
  /** Why it could not be loaded. */
  failure: string
}>()
defineEmits<{ again: [] }>()
</script>

<template>
  <FailureNote :message="failure" @again="$emit('again')" />
  <p v-if="pending && !failure" class="loading" role="status">{{ words.waiting.loading }}</p>
  <slot v-if="!pending" />
</template>

<style scoped>
.loading {
  color: var(--quiet);
  padding: var(--space-5) 0;
}
</style>
