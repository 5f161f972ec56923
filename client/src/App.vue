<script setup lang="ts">
/** The frame: rail and place, or signing in. */
import { useTimeoutFn, useTitle } from '@vueuse/core'
import { useQueryClient } from '@tanstack/vue-query'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import Rail from '@/app/Rail.vue'
import WelcomePage from '@/app/WelcomePage.vue'
import { loadAhead } from '@/app/loadAhead'
import { useFocusGuard } from '@/app/useFocusGuard'
import { useUnreached } from '@/app/useUnreached'
import { api, Refusal, signedOut } from '@/api/client'
import { current, loadSession, signOut, username } from '@/api/session'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { useEver } from '@/shared/composables/useEver'
import { useKeys } from '@/shared/composables/useKeys'
import { dated } from '@/shared/logic/dated'
import { setDecimal } from '@/shared/math/decimal'
import { setSpelling, words } from '@/texts/en'

/** What is seldom shown is not waited for. */
const SELDOM = [
  () => import('@/app/KeysOverview.vue'),
  () => import('@/app/SignedOut.vue'),
] as const
const [KeysOverview, SignedOut] = [defineAsyncComponent(SELDOM[0]), defineAsyncComponent(SELDOM[1])]

const route = useRoute()
const router = useRouter()
const cache = useQueryClient()
const keysOpen = ref(false)
const keysEver = useEver(keysOpen)
const outEver = useEver(signedOut)
const refusal = ref('')
const leaving = useAction()

const unreached = useUnreached()
/** The place that one is in, or is about to be in: its code may still be on its way. */
const place = computed(() => (route.matched.length ? route : router.resolve(location.pathname)))
const isOpen = computed(() => !!place.value.meta['open'])

const later = useTimeoutFn(load, 3000, { immediate: false })

function load(): void {
  loadSession().then(
    () => (refusal.value = ''),
    (reason) => {
      refusal.value = reason instanceof Refusal ? reason.message : words.failures.network
      later.start()
    },
  )
}
load()

/** Decimals are typeset as the house rules have them, everywhere; nothing of another teacher stays. */
watch(
  username,
  async (name, before) => {
    if (before) cache.clear()
    if (!name) return
    const { data } = await api.GET('/api/house')
    setDecimal(data?.decimal)
    setSpelling(data?.spelling)
    loadAhead(router, SELDOM)
  },
  { immediate: true },
)
watch(signedOut, (out) => {
  if (!out) void cache.invalidateQueries()
})

useTitle(
  computed(() => {
    const title = place.value.meta['title'] as keyof typeof words.titles | undefined
    return username.value && title ? `${words.titles[title]} · ${words.product}` : words.product
  }),
)
useFocusGuard()
useKeys({ '?': () => (keysOpen.value = true) })
</script>

<template>
  <a class="skip" href="#main" @click.prevent="focusMain">{{ words.rail.skip }}</a>
  <FailureNote
    v-if="!username"
    class="failed"
    :message="unreached.says.value"
    @again="unreached.again"
  />
  <p v-if="refusal && username === null" class="start-failure" role="alert">{{ refusal }}</p>
  <p
    v-else-if="username === null || (isOpen && !route.matched.length)"
    class="start-failure u-quiet"
    role="status"
  >
    {{ words.waiting.loading }}
  </p>
  <router-view v-else-if="isOpen" />
  <WelcomePage v-else-if="username === ''" />
  <div v-else class="frame" :class="{ bare: place.meta['bare'] }">
    <Rail
      v-if="!place.meta['bare']"
      :username="username"
      @keys="keysOpen = true"
      @leave="leaving.run(signOut)"
    />
    <div>
      <FailureNote class="failed" :message="unreached.says.value" @again="unreached.again" />
      <FailureNote class="failed" :message="leaving.refusal.value" @again="leaving.again" />
      <p v-if="current?.leaves && !place.meta['bare']" class="leaves" role="status">
        {{ words.account.leavesOn(dated(current.leaves)) }}
        <router-link :to="{ name: 'account' }">{{ words.account.title }}</router-link>
      </p>
      <router-view :key="username" />
    </div>
    <KeysOverview v-if="keysEver" v-model="keysOpen" />
    <SignedOut v-if="outEver" :name="username" />
  </div>
</template>

<script lang="ts">
/** Past the rail, to what the place is about. */
function focusMain(): void {
  document.getElementById('main')?.focus()
}
</script>

<style scoped src="./app.css"></style>
