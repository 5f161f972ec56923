<script setup lang="ts">
/** The first page: who signs in, or begins with an account of one's own. */
import { ref } from 'vue'
import { beginOwn, demonstration, mayBegin } from '@/api/session'
import { useAction } from '@/api/useAction'
import { words } from '@/texts/en'
import NamePassword from './NamePassword.vue'
import SignIn from './SignIn.vue'

/** Where nobody can sign in yet, one begins at once. */
const begins = ref(mayBegin.value && !demonstration.value)
const username = ref('')
const password = ref('')
const { busy, refusal, run } = useAction()

async function begin(): Promise<void> {
  await run(() => beginOwn(username.value.trim(), password.value))
}
</script>

<template>
  <main id="main" class="welcome" tabindex="-1">
    <div class="card">
      <h1>{{ words.product }}</h1>
      <p class="u-quiet">{{ words.signIn.lead }}</p>
      <template v-if="begins">
        <h2>{{ words.signIn.beginTitle }}</h2>
        <NamePassword
          v-model:username="username"
          v-model:password="password"
          fresh
          :refusal="refusal"
          :busy="busy"
          :go="words.signIn.begin"
          @submit="begin"
        />
        <el-button v-if="demonstration" link type="primary" @click="begins = false">
          {{ words.signIn.haveOne }}
        </el-button>
      </template>
      <template v-else>
        <SignIn />
        <template v-if="mayBegin">
          <p class="u-quiet demonstration">{{ words.signIn.demonstration }}</p>
          <el-button link type="primary" @click="begins = true">
            {{ words.signIn.beginTitle }}
          </el-button>
        </template>
      </template>
    </div>
  </main>
</template>

<style scoped>
.welcome {
  min-height: 100vh;
  display: grid;
  place-items: center;
}
.card {
  width: 22rem;
  background: var(--sheet);
  border: 1px solid var(--rule);
  border-top: 4px solid var(--ink);
  padding: var(--space-6);
}
h1 {
  margin: 0;
}
.demonstration {
  margin: var(--space-5) 0 var(--space-2);
  border-top: 1px solid var(--rule);
  padding-top: var(--space-4);
}
</style>
