<script setup lang="ts">
/** Examples that come in from a file, and all of them as a file. */
import { useQueryClient } from '@tanstack/vue-query'
import { useFileDialog } from '@vueuse/core'
import { ref } from 'vue'
import { api, result } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

const cache = useQueryClient()
const action = useAction()
/** What came of the last file that could be read, or why it could not. */
const said = ref('')
const { open, onChange } = useFileDialog({
  accept: '.json,application/json',
  multiple: false,
  reset: true,
})

function read(text: string): Record<string, unknown> | null {
  try {
    return JSON.parse(text) as Record<string, unknown>
  } catch {
    return null
  }
}

onChange(async (files) => {
  const text = await files?.[0]?.text()
  if (text === undefined) return
  const body = read(text)
  said.value = body ? '' : words.examples.badFile
  action.refusal.value = ''
  if (body) await action.run(() => bringIn(body))
})

async function bringIn(body: Record<string, unknown>): Promise<void> {
  const { count } = await result(api.POST('/api/examples/import', { body }))
  said.value = words.examples.imported(count)
  await cache.invalidateQueries({ queryKey: ['examples'] })
}
</script>

<template>
  <FailureNote :message="action.refusal.value" @again="action.again" />
  <span role="status">{{ said }}</span>
  <el-button :loading="action.busy.value" @click="open()">{{ words.examples.bringIn }}</el-button>
  <el-button tag="a" href="/api/examples/export" download="uchuu-examples.json">
    {{ words.examples.giveOut }}
  </el-button>
</template>
