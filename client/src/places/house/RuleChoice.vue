<script setup lang="ts" generic="T extends string">
/** One house rule: what may be chosen, and what the choice does to a live example. */
defineProps<{
  title: string
  choices: readonly { value: T; name: string; says?: string }[]
}>()
const chosen = defineModel<T>({ required: true })
</script>

<template>
  <section class="rule">
    <fieldset>
      <legend>{{ title }}</legend>
      <el-radio-group v-model="chosen" :aria-label="title">
        <el-radio v-for="item in choices" :key="item.value" :value="item.value">
          <b>{{ item.name }}</b> <span v-if="item.says" class="u-quiet">{{ item.says }}</span>
        </el-radio>
      </el-radio-group>
    </fieldset>
    <figure><slot /></figure>
  </section>
</template>

<style scoped>
.rule {
  display: grid;
  grid-template-columns: 26rem minmax(0, 1fr);
  gap: var(--space-7);
  padding: var(--space-5) 0;
  border-top: 1px solid var(--rule);
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
}
legend {
  font-weight: 700;
  margin-bottom: var(--space-3);
  padding: 0;
}
.el-radio-group {
  display: grid;
  gap: var(--space-2);
  justify-items: start;
}
.el-radio {
  height: auto;
  white-space: normal;
  margin: 0;
  align-items: baseline;
}
.el-radio b {
  font-weight: 400;
}
.el-radio.is-checked b {
  font-weight: 700;
}
figure {
  min-height: 7rem;
  margin: 0;
  display: grid;
  gap: var(--space-3);
  justify-items: start;
  align-content: start;
}
@media (max-width: 900px) {
  .rule {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
