<script setup lang="ts">
/** Why something failed, with a way to try it again. */
import { words } from '@/texts/en'

defineProps<{
  /** What is said; nothing is shown while it is empty. */
  message: string
  /** Without a way to try again: it would fail again. */
  final?: boolean
}>()
defineEmits<{ again: [] }>()
</script>

<template>
  <p v-if="message" class="failure" role="alert">
    {{ message }}
    <el-button v-if="!final" @click="$emit('again')">{{ words.waiting.again }}</el-button>
  </p>
</template>

<style scoped>
.failure {
  color: var(--leave);
  border-left: 3px solid var(--leave);
  padding-left: var(--space-3);
}
</style>
