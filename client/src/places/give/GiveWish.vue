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
    <fieldset v-if="what === 'handout'">
      <legend>{{ words.give.room }}</legend>
      <el-radio-group
        :model-value="wish.room"
        :aria-label="words.give.room"
        @update:model-value="(room: unknown) => want({ room: room as Wish['room'] })"
      >
        <el-radio v-for="(name, key) in words.give.rooms" :key="key" :value="key">
          {{ name }}
        </el-radio>
      </el-radio-group>
    </fieldset>
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
    <el-button
      v-if="what === 'choices' || what === 'mistakes'"
      @click="want({ seed: wish.seed + 1 })"
    >
      {{ words.give.seed }}
    </el-button>
    <fieldset v-if="what !== 'slides'">
      <legend>{{ words.give.paper }}</legend>
      <el-radio-group
        :model-value="wish.paper"
        :aria-label="words.give.paper"
        @update:model-value="(paper: unknown) => want({ paper: paper as Wish['paper'] })"
      >
        <el-radio v-for="(name, key) in words.give.papers" :key="key" :value="key">
          {{ name }}
        </el-radio>
      </el-radio-group>
    </fieldset>
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
