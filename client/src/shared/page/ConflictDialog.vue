<script setup lang="ts">
/** Something was changed in another window too: nothing is overwritten until one chooses. */
import { words } from '@/texts/en'

defineProps<{
  open: boolean
}>()
defineEmits<{ settle: [keepMine: boolean] }>()
</script>

<template>
  <el-dialog
    :model-value="open"
    :title="words.save.conflictTitle"
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
    width="30rem"
  >
    <p>{{ words.save.conflictSays }}</p>
    <template #footer>
      <el-button @click="$emit('settle', false)">{{ words.save.theirs }}</el-button>
      <el-button type="primary" @click="$emit('settle', true)">{{ words.save.mine }}</el-button>
    </template>
  </el-dialog>
</template>
