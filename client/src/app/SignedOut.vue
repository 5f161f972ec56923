<script setup lang="ts">
/** Over the page, when the session has ended: one signs in again, and nothing is lost. */
import { signedOut } from '@/api/client'
import { words } from '@/texts/en'
import SignIn from './SignIn.vue'

defineProps<{
  /** Who was signed in. */
  name: string
}>()
</script>

<template>
  <el-dialog
    :model-value="signedOut"
    :title="words.signIn.again"
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
    width="24rem"
  >
    <p>{{ words.signIn.againSays }}</p>
    <SignIn v-if="signedOut" :name="name" />
  </el-dialog>
</template>
