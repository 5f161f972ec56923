<script setup lang="ts">
/** What is folded away until somebody wants it: made when it is first opened, and kept from then on. */
import { useEver } from '@/shared/composables/useEver'

const open = defineModel<boolean>('open', { default: false })
defineProps<{
  /** What stands there while it is folded away. */
  summary?: string
}>()

const wasOpen = useEver(open)
</script>

<template>
  <details :open="open" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>
      <slot name="summary">{{ summary }}</slot>
    </summary>
    <slot v-if="wasOpen" />
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
}
</style>
