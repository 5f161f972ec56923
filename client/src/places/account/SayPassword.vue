<script setup lang="ts">
/** A field for a password of one's own. */
import { words } from '@/texts/en'

const password = defineModel<string>({ required: true })
defineProps<{
  /** What it is called, where it is not simply one's password. */
  label?: string
  /** Whether it is a new one. */
  fresh?: boolean
}>()
</script>

<template>
  <el-form-item :label="label ?? words.account.say">
    <el-input
      v-model="password"
      type="password"
      maxlength="1000"
      :autocomplete="fresh ? 'new-password' : 'current-password'"
    />
  </el-form-item>
</template>
