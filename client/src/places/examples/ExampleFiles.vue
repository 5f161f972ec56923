<script setup lang="ts">
/** Examples that come in from a file, and all of them as a file. */
import { useQueryClient } from '@tanstack/vue-query'
import { useFileDialog } from '@vueuse/core'
import { ElMessage } from 'element-plus'
import 'element-plus/es/components/message/style/css'
import { api, Refusal, result } from '@/api/client'
import { words } from '@/texts/en'

const cache = useQueryClient()
const { open, onChange } = useFileDialog({
  accept: '.json,application/json',
  multiple: false,
  reset: true,
})

onChange(async (files) => {
  const text = await files?.[0]?.text()
  if (text === undefined) return
  try {
    const body = JSON.parse(text) as Record<string, unknown>
    const { count } = await result(api.POST('/api/examples/import', { body }))
    ElMessage({ message: words.examples.imported(count), type: 'success' })
    await cache.invalidateQueries({ queryKey: ['examples'] })
  } catch (reason) {
    const message = reason instanceof Refusal ? reason.message : words.examples.badFile
    ElMessage({ message, type: 'warning', duration: 8000, showClose: true })
  }
})
</script>

<template>
  <el-button @click="open()">{{ words.examples.bringIn }}</el-button>
  <el-button tag="a" href="/api/examples/export" download="uchuu-examples.json">
    {{ words.examples.giveOut }}
  </el-button>
</template>
