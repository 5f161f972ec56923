<script setup lang="ts">
/** Every key in one overview. */
import { words } from '@/texts/en'

const open = defineModel<boolean>({ required: true })
</script>

<template>
  <el-dialog v-model="open" :title="words.keys.title" width="30rem">
    <dl class="keys">
      <div v-for="[key, says] in words.keys.list" :key="key">
        <dt>
          <kbd>{{ key }}</kbd>
        </dt>
        <dd>{{ says }}</dd>
      </div>
    </dl>
  </el-dialog>
</template>

<style scoped>
.keys {
  margin: 0;
}
.keys div {
  display: grid;
  grid-template-columns: 9rem minmax(0, 1fr);
  padding: var(--space-1) 0;
}
dd {
  margin: 0;
}
kbd {
  border: 1px solid var(--edge);
  border-radius: 4px;
  padding: 0.1rem var(--space-2);
  font: inherit;
  font-size: var(--type-note);
}
</style>
