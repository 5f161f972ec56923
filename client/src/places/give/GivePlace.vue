<script setup lang="ts">
/** What a set gives out: its pages exactly as they print, and files in open formats. */
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { later } from '@/shared/logic/debounce'
import { words } from '@/texts/en'

type What = keyof typeof words.give.kinds

const props = defineProps<{
  /** The set's id. */
  id: string
  /** What is given. */
  what: What
}>()

const room = ref<keyof typeof words.give.rooms>('lines')
const paper = ref<keyof typeof words.give.papers>('a4')
const density = ref<'' | 'fine' | 'board' | 'key'>('')
const forks = ref(false)
const seed = ref(1)
const shown = ref<Schemas['Pages'] | null>(null)
const title = ref('')
const refusal = ref('')
const making = ref(true)

const wish = computed(() => ({
  room: room.value,
  paper: paper.value,
  forks: forks.value,
  seed: seed.value,
  ...(density.value ? { density: density.value } : {}),
}))
const query = computed(
  () => new URLSearchParams(Object.entries(wish.value).map(([key, value]) => [key, String(value)])),
)
const asPages = computed(() =>
  (shown.value?.pages ?? []).map((page) => `data:image/svg+xml;base64,${page}`),
)

async function load(): Promise<void> {
  making.value = true
  const asked = `${props.id} ${props.what} ${query.value}`
  try {
    const path = { identity: props.id }
    if (!title.value) {
      title.value = (await result(api.GET('/api/sets/{identity}', { params: { path } }))).title
    }
    const params = { path: { ...path, what: props.what }, query: wish.value }
    const found = await result(api.GET('/api/give/{identity}/preview/{what}', { params }))
    if (asked !== `${props.id} ${props.what} ${query.value}`) return
    shown.value = found
    refusal.value = ''
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    refusal.value = reason.message
  }
  making.value = false
}
const soon = later(() => void load(), 60)
watch([() => props.id, () => props.what, wish], soon, { immediate: true })

function print(): void {
  window.print()
}
</script>

<template>
  <main class="page give">
    <header class="head no-print">
      <router-link :to="{ name: 'set', params: { id } }">{{ words.sets.back }}</router-link>
      <nav :aria-label="words.give.title">
        <router-link
          v-for="(name, kind) in words.give.kinds"
          :key="kind"
          :to="{ name: 'sheet', params: { id, what: kind } }"
          :aria-current="kind === what ? 'page' : undefined"
        >
          {{ name }}
        </router-link>
      </nav>
      <span class="gap" />
      <el-button type="primary" :disabled="!shown" @click="print">{{ words.key.print }}</el-button>
    </header>
    <div class="bench">
      <form class="wish no-print" @submit.prevent>
        <fieldset v-if="what === 'handout'">
          <legend>{{ words.give.room }}</legend>
          <label v-for="(name, key) in words.give.rooms" :key="key">
            <input v-model="room" type="radio" name="room" :value="key" /> {{ name }}
          </label>
        </fieldset>
        <label v-if="what === 'key' || what === 'slides'">
          {{ words.give.density }}
          <select v-model="density" class="typed">
            <option v-for="(name, key) in words.sets.densities" :key="key" :value="key">
              {{ name }}
            </option>
          </select>
        </label>
        <label v-if="what === 'key'">
          <input v-model="forks" type="checkbox" /> {{ words.give.forks }}
        </label>
        <el-button v-if="what === 'choices' || what === 'mistakes'" @click="seed += 1">
          {{ words.give.seed }}
        </el-button>
        <fieldset v-if="what !== 'slides'">
          <legend>{{ words.give.paper }}</legend>
          <label v-for="(name, key) in words.give.papers" :key="key">
            <input v-model="paper" type="radio" name="paper" :value="key" /> {{ name }}
          </label>
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
        <section v-if="shown?.refused.length">
          <h2 class="warm">{{ words.give.refused }}</h2>
          <p v-for="one in shown.refused" :key="one" class="quiet">{{ one }}</p>
        </section>
      </form>
      <div class="pages" :aria-busy="making">
        <p v-if="refusal" role="alert" class="warm">
          {{ refusal }} <el-button @click="load">{{ words.show.again }}</el-button>
        </p>
        <p v-else-if="making && !shown" role="status" class="quiet">{{ words.give.making }}</p>
        <img
          v-for="(page, index) in asPages"
          :key="index"
          :src="page"
          :alt="words.give.page(index + 1, asPages.length)"
          :data-wide="what === 'slides' || undefined"
        />
        <details v-if="shown" class="no-print reading">
          <summary>{{ words.give.reading }}</summary>
          <pre tabindex="0">{{ shown.text }}</pre>
        </details>
      </div>
    </div>
  </main>
</template>

<style scoped>
.head {
  gap: 1.1rem;
}
nav {
  display: flex;
  gap: 1.1rem;
  flex-wrap: wrap;
}
[aria-current] {
  font-weight: 700;
  text-decoration: none;
}
.bench {
  display: grid;
  grid-template-columns: 13rem minmax(0, 1fr);
  gap: 2rem;
  align-items: start;
}
.wish {
  display: grid;
  gap: 1rem;
  position: sticky;
  top: 1rem;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.2rem 0.9rem;
}
legend {
  color: var(--quiet);
  font-size: 0.86rem;
}
ul {
  list-style: none;
  margin: 0 0 0.9rem;
  padding: 0;
}
.pages {
  display: grid;
  gap: 1.2rem;
  justify-items: center;
}
.pages[aria-busy='true'] img {
  opacity: 0.55;
}
img {
  width: 100%;
  max-width: 50rem;
  background: #fff;
  border: 1px solid var(--rule);
}
img[data-wide] {
  max-width: 60rem;
}
.reading {
  justify-self: stretch;
}
pre {
  white-space: pre-wrap;
  font-size: 0.86rem;
}
@media print {
  .bench {
    display: block;
  }
  .pages {
    display: block;
  }
  img {
    border: 0;
    max-width: none;
    width: 100%;
    break-after: page;
  }
}
</style>
