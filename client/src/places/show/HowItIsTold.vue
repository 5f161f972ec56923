<script setup lang="ts">
/** Before the first line: in which order the example is told. */
import { words } from '@/texts/en'
import { SCRIPTS, type Script } from './script'

defineProps<{
  script: Script
  /** Whether it can be told so: a wrong story needs a fork. */
  canTell: (how: Script) => boolean
}>()
defineEmits<{ tell: [how: Script] }>()
</script>

<template>
  <el-radio-group
    class="told"
    :model-value="script"
    :aria-label="words.show.scripts"
    @update:model-value="(how: unknown) => $emit('tell', how as Script)"
  >
    <el-radio v-for="(how, index) in SCRIPTS" :key="how" :value="how" :disabled="!canTell(how)">
      {{ words.show.tells[how] }} <kbd aria-hidden="true">{{ index + 1 }}</kbd>
    </el-radio>
  </el-radio-group>
</template>

<style scoped>
.told {
  margin-right: auto;
  padding-left: var(--space-5);
}
kbd {
  border: 1px solid var(--edge);
  border-radius: 3px;
  padding: 0 var(--space-1);
  font: inherit;
  font-size: var(--type-small);
}
</style>
