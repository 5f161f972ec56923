<script setup lang="ts">
/** Behind a link from a mail: a new password, once. */
import { ref } from 'vue'
import { api, result } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import FrontCard from './FrontCard.vue'
import NamePassword from './NamePassword.vue'

const props = defineProps<{
  /** What stands in the link. */
  token: string
}>()

const name = ref('')
const password = ref('')
const done = ref(false)
const opening = useAction()
const setting = useAction()
const params = { path: { token: props.token } }

void opening.run(async () => {
  name.value = (await result(api.GET('/api/session/reset/{token}', { params }))).name
})

async function set(): Promise<void> {
  done.value = await setting.run(async () => {
    const body = { password: password.value }
    await result(api.POST('/api/session/reset/{token}', { params, body }))
  })
}
</script>

<template>
  <FrontCard>
    <h2>{{ words.signIn.newPassword }}</h2>
    <FailureNote :message="opening.refusal.value" final />
    <p v-if="done" role="status">{{ words.signIn.reset }}</p>
    <NamePassword
      v-else-if="name"
      v-model:password="password"
      :username="name"
      fixed
      fresh
      :refusal="setting.refusal.value"
      :busy="setting.busy.value"
      :go="words.signIn.setPassword"
      @submit="set"
    />
    <p v-if="done || opening.refusal.value">
      <a href="/">{{ words.signIn.title }}</a>
    </p>
  </FrontCard>
</template>

<style scoped>
h2 {
  margin: var(--space-4) 0 var(--space-3);
}
</style>
