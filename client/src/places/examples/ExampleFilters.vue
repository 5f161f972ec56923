<script setup lang="ts">
/** What is sought in the list of examples: words, difficulty, tag, what is known of the last line. */
import { refDebounced } from '@vueuse/core'
import { ref, watch } from 'vue'
import { useTags } from '@/filing/useUnits'
import { words } from '@/texts/en'
import type { Sought } from './sought'

const sought = defineModel<Sought>({ required: true })
const tags = useTags('examples')
const typed = ref(sought.value.words)
const settled = refDebounced(typed, 120)
watch(settled, (text) => (sought.value.words = text))

/** The stops that a last line mostly has. */
const STOPS = ['ok', 'unfinished', 'wrong', 'parallel', 'doubt', 'unreadable', 'none'] as const
</script>

<template>
  <form class="filters" role="search" @submit.prevent="sought.words = typed">
    <el-input
      v-model="typed"
      class="words"
      type="search"
      clearable
      maxlength="200"
      :placeholder="words.examples.filterHint"
      :aria-label="words.examples.filter"
    />
    <el-select
      v-model="sought.stop"
      class="stop"
      :empty-values="[null, undefined]"
      :aria-label="words.examples.stop"
    >
      <el-option value="" :label="words.examples.anyStop" />
      <el-option
        v-for="stop in STOPS"
        :key="stop"
        :value="stop"
        :label="stop === 'none' ? words.examples.noLine : words.stops[stop]"
      />
    </el-select>
    <el-select
      v-if="tags.length"
      v-model="sought.tag"
      class="tag"
      filterable
      :empty-values="[null, undefined]"
      :aria-label="words.units.tag"
    >
      <el-option value="" :label="words.units.anyTag" />
      <el-option v-for="tag in tags" :key="tag" :value="tag" :label="tag" />
    </el-select>
    <span class="between">
      {{ words.examples.difficulty }}
      <el-input-number
        v-model="sought.easiest"
        class="few"
        :min="0"
        :max="999"
        :controls="false"
        :aria-label="words.sets.easiest"
        :placeholder="words.examples.from"
      />
      –
      <el-input-number
        v-model="sought.hardest"
        class="few"
        :min="0"
        :max="999"
        :controls="false"
        :aria-label="words.sets.hardest"
        :placeholder="words.examples.to"
      />
    </span>
    <el-checkbox v-model="sought.aside">{{ words.examples.areAside }}</el-checkbox>
  </form>
</template>

<style scoped>
.filters {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-3) var(--space-4);
  margin-bottom: var(--space-4);
}
.words {
  flex: 1 1 11rem;
  max-width: 20rem;
}
.stop {
  width: 10rem;
}
.tag {
  width: 7rem;
}
.between {
  font-size: var(--type-note);
  color: var(--quiet);
}
.few {
  width: 3.8rem;
}
</style>
