<script setup lang="ts">
/** Sharing with the department, where there is one; at home there is nothing. */
import type { Schemas } from '@/api/client'
import { current } from '@/api/session'
import ShareToggle from './ShareToggle.vue'

defineProps<{
  kind: Schemas['SharedIn']['kind']
  /** The key of what is shared; '' for house rules. */
  of: string
  /** As a link among others, not as a button. */
  link?: boolean
}>()
</script>

<template>
  <ShareToggle v-if="current?.department" :kind="kind" :of="of" :link="link" />
</template>
