<script setup lang="ts">
/** What a set gives out: its pages exactly as they print, and files in open formats. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import WaitFor from '@/shared/page/WaitFor.vue'
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
const settled = refDebounced(wish, 60)
const at = computed(() => ({ identity: props.id }))
const set = useQuery({
  queryKey: computed<readonly unknown[]>(() => ['sets', 'one', props.id]),
  queryFn: () => result(api.GET('/api/sets/{identity}', { params: { path: at.value } })),
})
const title = computed(() => set.data.value?.title ?? '')
const pages = useQuery({
  queryKey: computed<readonly unknown[]>(() => ['pages', props.id, props.what, settled.value]),
  queryFn: () => {
    const params = { path: { ...at.value, what: props.what }, query: settled.value }
    return result(api.GET('/api/give/{identity}/preview/{what}', { params }))
  },
  placeholderData: keepPreviousData,
  gcTime: 0,
})
const shown = computed(() => pages.data.value)
const asPages = computed(() =>
  (shown.value?.pages ?? []).map((page) => `data:image/svg+xml;base64,${page}`),
)

function print(): void {
  window.print()
}
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <header class="ways no-print">
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
      <el-button type="primary" :disabled="!shown" @click="print">{{ words.key.print }}</el-button>
    </header>
    <h1 class="no-print">{{ title || words.sets.untitled }}: {{ words.give.kinds[what] }}</h1>
    <div class="bench">
      <form class="wish no-print" @submit.prevent>
        <fieldset v-if="what === 'handout'">
          <legend>{{ words.give.room }}</legend>
          <el-radio-group v-model="room" :aria-label="words.give.room">
            <el-radio v-for="(name, key) in words.give.rooms" :key="key" :value="key">
              {{ name }}
            </el-radio>
          </el-radio-group>
        </fieldset>
        <label v-if="what === 'key' || what === 'slides'">
          {{ words.give.density }}
          <el-select v-model="density" :empty-values="[null, undefined]">
            <el-option
              v-for="(name, key) in words.sets.densities"
              :key="key"
              :value="key"
              :label="name"
            />
          </el-select>
        </label>
        <el-checkbox v-if="what === 'key'" v-model="forks">{{ words.give.forks }}</el-checkbox>
        <el-button v-if="what === 'choices' || what === 'mistakes'" @click="seed += 1">
          {{ words.give.seed }}
        </el-button>
        <fieldset v-if="what !== 'slides'">
          <legend>{{ words.give.paper }}</legend>
          <el-radio-group v-model="paper" :aria-label="words.give.paper">
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
        <section v-if="shown?.refused.length">
          <h2 class="u-warm">{{ words.give.refused }}</h2>
          <p v-for="one in shown.refused" :key="one" class="u-quiet">{{ one }}</p>
        </section>
      </form>
      <div class="pages" :aria-busy="pages.isFetching.value">
        <WaitFor
          :pending="pages.isPending.value"
          :failure="saidOf(pages.error.value)"
          @again="pages.refetch"
        />
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

<style scoped src="./give-place.css"></style>
