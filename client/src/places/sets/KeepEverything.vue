<script setup lang="ts">
/** All that a teacher owns as one file, and bringing it back, which takes a while. */
import { useQueryClient } from '@tanstack/vue-query'
import { useFileDialog } from '@vueuse/core'
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import { sendFile } from '@/api/files'
import { useAction } from '@/api/useAction'
import JobProgress from '@/jobs/JobProgress.vue'
import { useJob } from '@/jobs/useJob'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

const cache = useQueryClient()
const { refusal, run, again } = useAction()
const says = ref('')
const begun = ref<Schemas['JobOut'] | null>(null)
const following = useJob(
  () => begun.value,
  ({ outcome }) => {
    const made = outcome as { examples: number; sets: number }
    says.value = words.sets.restored(made.examples, made.sets)
    void cache.invalidateQueries()
  },
)

const { open, onChange } = useFileDialog({ accept: '.json', multiple: false, reset: true })
onChange((files) => {
  const file = files?.[0]
  if (!file) return
  says.value = ''
  void run(async () => {
    begun.value = await sendFile<Schemas['JobOut']>('/api/keep/restore', file)
  })
})
</script>

<template>
  <section class="keep">
    <h2>{{ words.sets.keepTitle }}</h2>
    <p class="u-quiet">{{ words.sets.keepSays }}</p>
    <el-button tag="a" href="/api/keep/everything.json" download>{{ words.sets.keep }}</el-button>
    <el-button :disabled="following.isOpen.value" @click="open()">
      {{ words.sets.restore }}
    </el-button>
    <JobProgress
      v-if="following.job.value && !says"
      :job="following.job.value"
      :refusal="following.refusal.value"
      @cancel="following.cancel"
    />
    <p v-if="says" role="status">{{ says }}</p>
    <FailureNote :message="refusal" @again="again" />
  </section>
</template>

<style scoped>
.keep {
  margin-top: var(--space-7);
  border-top: 1px solid var(--rule);
  padding-top: var(--space-4);
  max-width: 40rem;
}
</style>
