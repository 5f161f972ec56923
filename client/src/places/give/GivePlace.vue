<script setup lang="ts">
/** What a set gives out: its pages exactly as they print, and files in open formats. */
import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import GiveWish from './GiveWish.vue'
import { queryOf, usualWish, type Kind } from './wish'

const props = defineProps<{
  /** The set's id. */
  id: string
  /** What is given. */
  what: Kind
}>()

const wish = ref(usualWish())
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
    const params = { path: { ...at.value, what: props.what }, query: queryOf(settled.value) }
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
      <GiveWish :id="id" v-model="wish" :what="what" :refused="shown?.refused ?? []" />
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
