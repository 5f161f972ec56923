<script setup lang="ts">
/** Beside the pages of a set: how they are wished for, and the files they are kept as. */
import { computed } from 'vue'
import { words } from '@/texts/en'
import { queryOf, type Kind, type Wish } from './wish'

const wish = defineModel<Wish>({ required: true })
defineProps<{
  /** The set's id. */
  id: string
  what: Kind
  /** What could not be given, and why. */
  refused: string[]
}>()

/** What is chosen of a few, and of which pages. */
const RADIOS = [
  { name: 'room', options: words.give.rooms, isFor: (what: Kind) => what === 'handout' },
  { name: 'paper', options: words.give.papers, isFor: (what: Kind) => what !== 'slides' },
] as const

function want(part: Partial<Wish>): void {
  wish.value = { ...wish.value, ...part }
}
const query = computed(() => {
  const asked = Object.entries(queryOf(wish.value))
  return new URLSearchParams(asked.map(([key, value]) => [key, String(value)]))
})
</script>

<template>
  <form class="wish no-print" @submit.prevent>
    <label v-if="what === 'key' || what === 'slides'">
      {{ words.give.density }}
      <el-select
        :model-value="wish.density"
        :empty-values="[null, undefined]"
        @update:model-value="(density: unknown) => want({ density: density as Wish['density'] })"
      >
        <el-option
          v-for="(name, key) in words.sets.densities"
          :key="key"
          :value="key"
          :label="name"
        />
      </el-select>
    </label>
    <el-checkbox
      v-if="what === 'key'"
      :model-value="wish.forks"
      @update:model-value="(on: unknown) => want({ forks: !!on })"
      >{{ words.give.forks }}</el-checkbox
    >
    <el-checkbox
      v-if="what === 'key' || what === 'slides'"
      :model-value="wish.marks"
      @update:model-value="(on: unknown) => want({ marks: !!on })"
      >{{ words.give.marks }}</el-checkbox
    >
    <el-checkbox
      v-if="what === 'key' || what === 'slides'"
      :model-value="wish.beside"
      @update:model-value="(on: unknown) => want({ beside: !!on })"
      >{{ words.give.beside }}</el-checkbox
    >
    <el-checkbox
      :model-value="wish.versions"
      @update:model-value="(on: unknown) => want({ versions: !!on })"
      >{{ words.give.versions }}</el-checkbox
    >
    <el-button
      v-if="what === 'choices' || what === 'mistakes'"
      @click="want({ seed: wish.seed + 1 })"
    >
      {{ words.give.seed }}
    </el-button>
    <template v-for="{ name, options, isFor } in RADIOS" :key="name">
      <fieldset v-if="isFor(what)">
        <legend>{{ words.give[name] }}</legend>
        <el-radio-group
          :model-value="wish[name]"
          :aria-label="words.give[name]"
          @update:model-value="(chosen: unknown) => want({ [name]: chosen })"
        >
          <el-radio v-for="(label, key) in options" :key="key" :value="key">{{ label }}</el-radio>
        </el-radio-group>
      </fieldset>
    </template>
    <section>
      <h2>{{ words.give.keepAs }}</h2>
      <ul>
        <li v-for="(name, ending) in words.give.formats" :key="ending">
          <a :href="`/api/give/${id}/sheet/${what}.${ending}?${query}`" download>{{ name }}</a>
        </li>
      </ul>
      <h2>{{ words.give.open }}</h2>
      <ul>
        <li v-for="(name, file) in words.give.data" :key="file">
          <a :href="`/api/give/${id}/${file}`" download>{{ name }}</a>
        </li>
      </ul>
    </section>
    <section v-if="refused.length">
      <h2 class="u-warm">{{ words.give.refused }}</h2>
      <p v-for="one in refused" :key="one" class="u-quiet">{{ one }}</p>
    </section>
  </form>
</template>

<style scoped>
.wish {
  display: grid;
  gap: var(--space-4);
  position: sticky;
  top: 1rem;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-1) var(--space-4);
}
legend {
  color: var(--quiet);
  font-size: var(--type-note);
}
ul {
  list-style: none;
  margin: 0 0 var(--space-4);
  padding: 0;
}
</style>
