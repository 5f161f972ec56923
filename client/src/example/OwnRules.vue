<script setup lang="ts">
/** House rules of one example or set, where they differ; the first choice follows what is above it. */
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'

const house = defineModel<Schemas['OwnRules']>({ required: true })

const rules = [
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

function change(key: (typeof rules)[number]['key'], event: Event): void {
  const value = (event.target as HTMLSelectElement).value
  const others = Object.entries(house.value).filter(([name]) => name !== key)
  house.value = Object.fromEntries(value ? [...others, [key, value]] : others)
}
</script>

<template>
  <label v-for="item in rules" :key="item.key" class="rule">
    {{ item.name }}
    <select :value="house[item.key] ?? ''" @change="change(item.key, $event)">
      <option value="">{{ words.bench.asHouse }}</option>
      <option v-for="(name, value) in item.values" :key="value" :value="value">{{ name }}</option>
    </select>
  </label>
</template>

<style scoped>
.rule {
  display: block;
  margin: 0.3rem 0;
}
.rule select {
  display: block;
  width: 100%;
  max-width: 22rem;
  font: inherit;
}
</style>
