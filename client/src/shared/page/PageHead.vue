<script setup lang="ts">
/** The head of a place: its heading, and what can be done there. */
defineProps<{
  title: string
}>()
</script>

<template>
  <header class="page-head">
    <h1>{{ title }}</h1>
    <slot name="beside" />
    <span class="actions"><slot /></span>
  </header>
</template>

<style scoped>
.page-head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2) var(--space-4);
  margin-bottom: var(--space-4);
}
h1 {
  margin: 0;
}
.actions {
  margin-left: auto;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-3);
}
.actions :deep(.el-button + .el-button) {
  margin-left: 0;
}
</style>
