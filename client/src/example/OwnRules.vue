<script setup lang="ts">
/** House rules of one example or set, where they differ; the first choice follows what is above it. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import FoldOut from '@/shared/page/FoldOut.vue'
import { words } from '@/texts/en'

const house = defineModel<Schemas['OwnRules']>({ required: true })

const first = [
  {
    key: 'density',
    name: words.house.density,
    values: { fine: words.house.fine, board: words.house.board, key: words.house.key },
  },
  {
    key: 'juxtaposition',
    name: words.house.juxtaposition,
    values: { equal: words.house.equal, tighter: words.house.tighter },
  },
  {
    key: 'radicals',
    name: words.house.radicals,
    values: { any: words.house.anyLetter, 'non-negative': words.house.nonNegative },
  },
] as const
type Convention = keyof typeof words.house.conventions
const more = Object.entries(words.house.conventions).map(([key, { title, choices }]) => ({
  key: key as Convention,
  name: title,
  values: choices as Record<string, string>,
}))
const groups = computed(() => [
  { title: '', rules: first, open: true },
  {
    title: words.house.moreRules,
    rules: more,
    open: more.some(({ key }) => house.value[key]),
  },
])

function change(key: (typeof first)[number]['key'] | Convention, value: string): void {
  const others = Object.entries(house.value).filter(([name]) => name !== key)
  house.value = Object.fromEntries(value ? [...others, [key, value]] : others)
}
</script>

<template>
  <component
    :is="group.title ? FoldOut : 'div'"
    v-for="group in groups"
    :key="group.title"
    :open="group.title ? group.open : undefined"
    :summary="group.title || undefined"
    class="group"
  >
    <label v-for="item in group.rules" :key="item.key" class="rule">
      {{ item.name }}
      <el-select
        :model-value="house[item.key] ?? ''"
        :empty-values="[null, undefined]"
        :aria-label="item.name"
        @change="(value: string) => change(item.key, value)"
      >
        <el-option value="" :label="words.bench.asHouse" />
        <el-option v-for="(name, value) in item.values" :key="value" :value="value" :label="name" />
      </el-select>
    </label>
  </component>
</template>

<style scoped>
.rule {
  display: block;
  margin: var(--space-1) 0;
  max-width: 22rem;
}
.group :deep(summary) {
  margin: var(--space-2) 0;
}
</style>
