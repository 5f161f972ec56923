<script setup lang="ts">
/** A list beside the units under which it is filed. */
import UnitTree from './UnitTree.vue'

/** The chosen unit; '' for everything. */
const unit = defineModel<string>('unit', { required: true })
</script>

<template>
  <div class="columns">
    <UnitTree v-model="unit" />
    <div><slot /></div>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: 10.5rem minmax(0, 1fr);
  gap: var(--space-5);
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
