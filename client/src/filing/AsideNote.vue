<script setup lang="ts">
/** What was just put aside, with a way back; or why that failed. */
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import type { PuttingAside } from './usePuttingAside'

const props = defineProps<{ aside: PuttingAside }>()
const { last, refusal } = props.aside
</script>

<template>
  <p v-if="last.length" class="done" role="status">
    {{ words.examples.wasPutAside(last.length) }}
    <el-button link type="primary" @click="aside.undo">{{ words.examples.bringBack }}</el-button>
  </p>
  <FailureNote :message="refusal" @again="aside.again" />
</template>

<style scoped>
.done {
  background: var(--lit);
  padding: var(--space-2) var(--space-4);
  border-radius: var(--round);
}
</style>
