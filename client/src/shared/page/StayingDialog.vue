<script setup lang="ts">
/** Over the page until one has chosen: neither Escape nor a click beside it takes it away. */
defineProps<{
  open: boolean
  title: string
  width: string
}>()
</script>

<template>
  <el-dialog
    :model-value="open"
    :title="title"
    :width="width"
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="false"
  >
    <slot />
    <template v-if="$slots['footer']" #footer><slot name="footer" /></template>
  </el-dialog>
</template>
