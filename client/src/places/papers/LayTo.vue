<script setup lang="ts">
/** To whom something that waits belongs: a code is chosen, then it is laid there; or it is put away. */
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'

defineProps<{ students: Schemas['StudentOut'][]; busy: boolean }>()
defineEmits<{ lay: [student: number]; away: [] }>()
const chosen = ref<number | null>(null)
</script>

<template>
  <span class="lay">
    <el-select
      v-model="chosen"
      filterable
      size="small"
      :placeholder="words.ways.whose"
      :aria-label="words.ways.whose"
    >
      <el-option v-for="one in students" :key="one.id" :value="one.id" :label="one.code" />
    </el-select>
    <el-button size="small" :disabled="busy || !chosen" @click="chosen && $emit('lay', chosen)">
      {{ words.ways.layHere }}
    </el-button>
    <slot />
    <el-button size="small" link type="primary" :disabled="busy" @click="$emit('away')">
      {{ words.ways.putAway }}
    </el-button>
  </span>
</template>

<style scoped>
.lay {
  display: inline-flex;
  flex: none;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2);
}
.el-select {
  width: 9rem;
}
</style>
