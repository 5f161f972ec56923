<script setup lang="ts">
/** Before parallel versions are made: how many, and what will differ. */
import { ref } from 'vue'
import { words } from '@/texts/en'

const open = defineModel<boolean>({ required: true })
const emit = defineEmits<{ make: [count: number] }>()

const count = ref(1)

function make(): void {
  open.value = false
  emit('make', count.value)
}
</script>

<template>
  <el-dialog v-model="open" :title="words.sets.versions" width="min(94vw, 34rem)">
    <form @submit.prevent="make">
      <p>{{ words.sets.versionsSays }}</p>
      <label>
        {{ words.sets.versionsHowMany }}
        <el-input-number v-model="count" :min="1" :max="5" />
      </label>
      <p class="u-quiet">{{ words.sets.versionsUndo }}</p>
      <el-button type="primary" native-type="submit">
        {{ words.sets.versionsMake(count) }}
      </el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
p {
  margin: 0 0 var(--space-4);
}
label {
  display: flex;
  align-items: center;
  gap: var(--space-4);
  margin-bottom: var(--space-4);
}
</style>
