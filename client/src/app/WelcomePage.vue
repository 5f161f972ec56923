<script setup lang="ts">
/** The first page: who signs in, or begins with an account of one's own. */
import { useUrlSearchParams } from '@vueuse/core'
import { computed, ref } from 'vue'
import { beginOwn, current } from '@/api/session'
import { useAction } from '@/api/useAction'
import { words } from '@/texts/en'
import FrontCard from './FrontCard.vue'
import NamePassword from './NamePassword.vue'
import SignIn from './SignIn.vue'

/** Where nobody can sign in yet, one begins at once. */
const begins = ref(!!current.value?.may_begin && !current.value.demonstration)
const username = ref('')
const password = ref('')
const { busy, refusal, run } = useAction()

/** What the school's sign-in came back with. */
const asked = useUrlSearchParams('history')
const said = computed(() => words.signIn.said[String(asked['said'] ?? '')] ?? '')

async function begin(): Promise<void> {
  await run(() => beginOwn(username.value.trim(), password.value))
}
</script>

<template>
  <FrontCard>
    <p class="u-quiet">{{ words.signIn.lead }}</p>
    <p v-if="said" class="u-warm" role="alert">{{ said }}</p>
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
      <el-button v-if="current?.demonstration" link type="primary" @click="begins = false">
        {{ words.signIn.haveOne }}
      </el-button>
    </template>
    <template v-else>
      <SignIn />
      <template v-if="current?.may_begin">
        <p class="u-quiet demonstration">{{ words.signIn.demonstration }}</p>
        <el-button link type="primary" @click="begins = true">
          {{ words.signIn.beginTitle }}
        </el-button>
      </template>
    </template>
  </FrontCard>
</template>

<style scoped>
.demonstration {
  margin: var(--space-5) 0 var(--space-2);
  border-top: 1px solid var(--rule);
  padding-top: var(--space-4);
}
</style>
