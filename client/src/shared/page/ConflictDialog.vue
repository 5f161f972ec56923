<script setup lang="ts">
/** Something was changed in another window too: nothing is overwritten until one chooses. */
import { words } from '@/texts/en'
import StayingDialog from './StayingDialog.vue'

defineProps<{
  open: boolean
}>()
defineEmits<{ settle: [keepMine: boolean] }>()
</script>

<template>
  <StayingDialog :open="open" :title="words.save.conflictTitle" width="30rem">
    <p>{{ words.save.conflictSays }}</p>
    <template #footer>
      <el-button @click="$emit('settle', false)">{{ words.save.theirs }}</el-button>
      <el-button type="primary" @click="$emit('settle', true)">{{ words.save.mine }}</el-button>
    </template>
  </StayingDialog>
</template>
