<script setup lang="ts">
/** Which parallel version: of a paper, or of an item with the class on its spine. */
import { words } from '@/texts/en'

const version = defineModel<string>({ required: true })
defineProps<{ versions: string[] }>()
</script>

<template>
  <el-select
    v-if="versions.length > 1"
    v-model="version"
    class="version no-print"
    size="small"
    :aria-label="words.ways.version"
  >
    <el-option
      v-for="one in versions"
      :key="one"
      :value="one"
      :label="`${words.ways.version} ${one}`"
    />
  </el-select>
</template>

<style scoped>
.version {
  width: 7rem;
}
</style>
