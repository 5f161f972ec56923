<script setup lang="ts">
/** Sharing something of one's own with the department, and sharing it no more. */
import { computed } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import { words } from '@/texts/en'
import { useDepartment } from './useDepartment'

const props = defineProps<{
  kind: Schemas['SharedIn']['kind']
  /** The key of what is shared; '' for house rules. */
  of: string
  /** As a link among others, not as a button. */
  link?: boolean
}>()

const { query, shared, changed } = useDepartment()
const { busy, refusal, run } = useAction()
const mine = computed(() =>
  shared.value.find((one) => one.own && one.kind === props.kind && one.key === props.of),
)
const label = computed(() => {
  const isHouse = props.kind === 'house' && !props.link
  if (mine.value) return isHouse ? words.department.endHouse : words.department.end
  return isHouse ? words.department.shareHouse : words.department.share
})

function toggle(): Promise<boolean> {
  return run(async () => {
    if (mine.value) {
      const params = { path: { identity: mine.value.id } }
      await result(api.DELETE('/api/shared/{identity}', { params }))
    } else {
      await result(api.POST('/api/shared', { body: { kind: props.kind, key: props.of } }))
    }
    await changed()
  })
}
</script>

<template>
  <template v-if="query.data.value">
    <el-button :link="link" :type="link ? 'primary' : ''" :disabled="busy" @click="toggle">
      {{ label }}
    </el-button>
    <span v-if="refusal" class="u-warm" role="alert">{{ refusal }}</span>
  </template>
</template>
