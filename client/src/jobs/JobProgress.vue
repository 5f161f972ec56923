<script setup lang="ts">
/** How far a piece of long work is, with a way to stop it. */
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'

defineProps<{
  job: Schemas['JobOut']
  /** Why it could not be asked for; empty when nothing is wrong. */
  refusal: string
}>()
defineEmits<{ cancel: [] }>()
</script>

<template>
  <div class="job" role="status" :data-state="job.state">
    <template v-if="job.state === 'waiting' || job.state === 'running'">
      <progress
        :value="job.total ? job.done : undefined"
        :max="job.total ?? 1"
        :aria-label="words.jobs.running(job.done, job.total ?? 0)"
      />
      <span>{{ job.total ? words.jobs.running(job.done, job.total) : words.jobs.waiting }}</span>
      <el-button @click="$emit('cancel')">{{ words.jobs.cancel }}</el-button>
    </template>
    <span v-else-if="job.message" class="u-warm">{{ job.message }}</span>
    <span v-else-if="job.state === 'cancelled'">{{ words.jobs.cancelled }}</span>
    <span v-if="refusal" class="u-warm">{{ refusal }}</span>
  </div>
</template>

<style scoped>
.job {
  display: flex;
  align-items: center;
  gap: var(--space-4);
}
progress {
  accent-color: var(--ink);
  width: 14rem;
}
</style>
