<script setup lang="ts">
/** Finding sets and problems by text, topic, skill, error and difficulty. */
import { ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { later } from '@/shared/logic/debounce'
import { readable } from '@/shared/logic/readable'
import { words } from '@/texts/en'

const wanted = ref('')
const easiest = ref<number | ''>('')
const hardest = ref<number | ''>('')
const found = ref<Schemas['Found'][] | null>(null)
const refusal = ref('')

async function look(): Promise<void> {
  if (!wanted.value.trim() && easiest.value === '' && hardest.value === '') {
    found.value = null
    return
  }
  const query = {
    words: wanted.value,
    ...(easiest.value === '' ? {} : { easiest: easiest.value }),
    ...(hardest.value === '' ? {} : { hardest: hardest.value }),
  }
  try {
    found.value = await result(api.GET('/api/sets/search', { params: { query } }))
    refusal.value = ''
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    refusal.value = reason.message
  }
}
const soon = later(() => void look(), 200)
watch([wanted, easiest, hardest], soon)
</script>

<template>
  <section class="find" :aria-label="words.sets.searchTitle">
    <p class="asked">
      <input
        v-model="wanted"
        class="typed"
        type="search"
        :placeholder="words.sets.searchHint"
        :aria-label="words.sets.searchTitle"
      />
      <label>
        {{ words.sets.easiest }}
        <input v-model.number="easiest" type="number" class="typed" min="0" step="0.5" />
      </label>
      <label>
        {{ words.sets.hardest }}
        <input v-model.number="hardest" type="number" class="typed" min="0" step="0.5" />
      </label>
    </p>
    <p v-if="refusal" role="alert" class="warm">{{ refusal }}</p>
    <p v-if="found && !found.length" class="quiet" role="status">{{ words.sets.nothingFound }}</p>
    <ul v-if="found?.length">
      <li v-for="one in found" :key="one.id">
        <router-link :to="{ name: one.kind === 'set' ? 'set' : 'bench', params: { id: one.id } }">
          {{ one.title || readable(one.given ?? '') || words.sets.untitled }}
        </router-link>
        <span v-if="one.title && one.given">{{ readable(one.given) }}</span>
        <span class="quiet">
          {{ one.why }}
          <template v-if="one.in_sets?.length">{{
            words.sets.inSets(one.in_sets.join(', '))
          }}</template>
        </span>
        <b v-if="one.difficulty">{{ one.difficulty }}</b>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.asked {
  display: flex;
  gap: 1rem;
  align-items: center;
  margin: 0 0 0.6rem;
}
.asked > input {
  max-width: 24rem;
}
label {
  display: flex;
  gap: 0.4rem;
  align-items: center;
  font-size: 0.86rem;
  color: var(--quiet);
}
label .typed {
  width: 4.6rem;
}
ul {
  list-style: none;
  margin: 0 0 1.4rem;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 15rem 15rem minmax(0, 1fr) 3rem;
  gap: 0.8rem;
  padding: 0.35rem 0.6rem;
  border-bottom: 1px solid var(--rule);
}
</style>
