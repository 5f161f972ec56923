<script setup lang="ts">
/** The frame: rail and place, or signing in. */
import { ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import KeysOverview from '@/app/KeysOverview.vue'
import Rail from '@/app/Rail.vue'
import SignIn from '@/app/SignIn.vue'
import { api, Refusal, signedOut } from '@/api/client'
import { loadSession, signOut, username } from '@/api/session'
import { useKeys } from '@/shared/composables/useKeys'
import { setDecimal } from '@/shared/math/decimal'
import { words } from '@/texts/en'

const route = useRoute()
const keysOpen = ref(false)
const refusal = ref('')

function load(): void {
  loadSession().then(
    () => (refusal.value = ''),
    (reason) => {
      refusal.value = reason instanceof Refusal ? reason.message : words.failures.network
      setTimeout(load, 3000)
    },
  )
}
load()

async function leave(): Promise<void> {
  await signOut()
}

/** Decimals are typeset as the house rules have them, everywhere. */
watch(
  username,
  async (name) => {
    if (!name) return
    const { data } = await api.GET('/api/house')
    setDecimal(data?.decimal)
  },
  { immediate: true },
)

useKeys({ '?': () => (keysOpen.value = true) })
</script>

<template>
  <p v-if="refusal && username === null" class="start-failure" role="alert">{{ refusal }}</p>
  <main v-else-if="username === ''" class="welcome">
    <div class="card">
      <h1>{{ words.product }}</h1>
      <p class="quiet">{{ words.signIn.lead }}</p>
      <SignIn />
    </div>
  </main>
  <div v-else-if="username" class="frame" :class="{ bare: route.meta['bare'] }">
    <Rail v-if="!route.meta['bare']" :username="username" @keys="keysOpen = true" @leave="leave" />
    <router-view :key="username" />
    <KeysOverview v-model="keysOpen" />
    <el-dialog
      :model-value="signedOut"
      :title="words.signIn.again"
      :show-close="false"
      :close-on-click-modal="false"
      :close-on-press-escape="false"
      width="24rem"
    >
      <p>{{ words.signIn.againSays }}</p>
      <SignIn v-if="signedOut" :name="username" />
    </el-dialog>
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: 7rem minmax(0, 1fr);
}
.bare {
  grid-template-columns: minmax(0, 1fr);
}
.welcome {
  min-height: 100vh;
  display: grid;
  place-items: center;
}
.card {
  width: 21rem;
  background: var(--sheet);
  border: 1px solid var(--rule);
  border-top: 4px solid var(--ink);
  padding: 1.8rem 2rem;
}
.card h1 {
  margin: 0;
}
.start-failure {
  padding: 2rem;
  color: var(--leave);
}
@media print {
  .frame {
    display: block;
  }
}
</style>
