<script setup lang="ts">
/** Copying what a colleague shares into one's own, and how far that is. */
import { ElMessageBox } from 'element-plus'
import 'element-plus/es/components/message-box/style/css'
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import JobProgress from '@/jobs/JobProgress.vue'
import { useJob } from '@/jobs/useJob'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

const props = defineProps<{ row: Schemas['SharedOut'] }>()

const cache = useQueryClient()
const begun = ref<Schemas['JobOut'] | null>(null)
const says = ref('')
const action = useAction()

async function done(): Promise<void> {
  says.value = words.department.done(props.row.kind)
  await cache.invalidateQueries()
}
const follow = useJob(() => begun.value, done)

async function copy(): Promise<void> {
  const isHouse = props.row.kind === 'house'
  if (isHouse) {
    const sure = await ElMessageBox.confirm(words.department.copyHouseSays, {
      confirmButtonText: words.department.copyHouse,
      cancelButtonText: words.units.leave,
    }).catch(() => null)
    if (!sure) return
  }
  says.value = ''
  await action.run(async () => {
    const params = { path: { identity: props.row.id } }
    const job = await result(api.POST('/api/shared/{identity}/copy', { params }))
    begun.value = job ?? null
    if (!job || job.state === 'done') await done()
  })
}

const label = () => {
  if (props.row.kind === 'house') return words.department.copyHouse
  return props.row.copied ? words.department.copyAgain : words.department.copy
}
</script>

<template>
  <span class="copy">
    <el-button type="primary" :disabled="action.busy.value || follow.isOpen.value" @click="copy">
      {{ label() }}
    </el-button>
    <JobProgress
      v-if="follow.job.value && follow.job.value.state !== 'done'"
      :job="follow.job.value"
      :refusal="follow.refusal.value"
      @cancel="follow.cancel"
    />
    <span v-if="says" role="status">{{ says }}</span>
  </span>
  <FailureNote :message="action.refusal.value" @again="action.again" />
</template>

<style scoped>
.copy {
  display: inline-flex;
  align-items: center;
  gap: var(--space-3);
}
</style>
