<script setup lang="ts">
/** What is typed, typeset under its fields: a miscopied sign shows before Enter. */
import MathText from '@/shared/math/MathText.vue'
import type { Sides } from '@/spine/types'

defineProps<{
  sides: Sides | null
  /** Whether it is the last readable form, while what stands there now cannot be read yet. */
  old: boolean
}>()
</script>

<template>
  <div class="preview" :data-old="old" aria-hidden="true">
    <MathText v-if="sides?.left" :latex="sides.left" display />
  </div>
  <div class="preview right" :data-old="old" aria-hidden="true">
    <MathText v-if="sides" :latex="sides.right" display />
  </div>
</template>

<style scoped>
.preview {
  grid-column: 2;
  min-height: 2.2rem;
  font-size: var(--type-lead);
  display: flex;
  align-items: center;
  justify-content: flex-end;
  overflow: hidden;
}
.preview.right {
  grid-column: 4;
  justify-content: flex-start;
}
.preview[data-old='true'] {
  opacity: 0.45;
}
</style>
