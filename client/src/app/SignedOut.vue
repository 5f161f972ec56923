<script setup lang="ts">
/** Over the page, when the session has ended: one signs in again, and nothing is lost. */
import { signedOut } from '@/api/client'
import StayingDialog from '@/shared/page/StayingDialog.vue'
import { words } from '@/texts/en'
import SignIn from './SignIn.vue'

defineProps<{
  /** Who was signed in. */
  name: string
}>()
</script>

<template>
  <StayingDialog :open="signedOut" :title="words.signIn.again" width="24rem">
    <p>{{ words.signIn.againSays }}</p>
    <SignIn v-if="signedOut" :name="name" />
  </StayingDialog>
</template>
