<script setup lang="ts">
/** Behind an invitation: one makes one's own account, and is signed in with it. */
import { ref, useId } from 'vue'
import { useRouter } from 'vue-router'
import { api, result, type Schemas } from '@/api/client'
import { current } from '@/api/session'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import FrontCard from './FrontCard.vue'
import NamePassword from './NamePassword.vue'

const props = defineProps<{
  /** What stands in the link. */
  token: string
}>()

const router = useRouter()
const invitation = ref<Schemas['InvitedOut'] | null>(null)
const username = ref('')
const password = ref('')
const mail = ref('')
const mailId = useId()
const opening = useAction()
const making = useAction()
const params = { path: { token: props.token } }

void opening.run(async () => {
  invitation.value = await result(api.GET('/api/session/invited/{token}', { params }))
  mail.value = invitation.value.mail
})

async function make(): Promise<void> {
  const isDone = await making.run(async () => {
    const body = { username: username.value.trim(), password: password.value, mail: mail.value }
    current.value = await result(api.POST('/api/session/invited/{token}', { params, body }))
  })
  if (isDone) await router.replace({ name: 'today' })
}
</script>

<template>
  <FrontCard>
    <h2>{{ words.signIn.yourAccount }}</h2>
    <FailureNote :message="opening.refusal.value" final />
    <template v-if="invitation">
      <p class="u-quiet">{{ words.signIn.invitedBy(invitation.by, invitation.department) }}</p>
      <NamePassword
        v-model:username="username"
        v-model:password="password"
        fresh
        :refusal="making.refusal.value"
        :busy="making.busy.value"
        :go="words.signIn.makeAccount"
        @submit="make"
      >
        <label :for="mailId">{{ words.signIn.mail }}</label>
        <el-input :id="mailId" v-model="mail" type="email" maxlength="254" autocomplete="email" />
      </NamePassword>
    </template>
    <p v-else-if="opening.refusal.value">
      <a href="/">{{ words.signIn.title }}</a>
    </p>
  </FrontCard>
</template>

<style scoped>
h2 {
  margin: var(--space-4) 0 var(--space-3);
}
label {
  font-size: var(--type-note);
  color: var(--quiet);
}
</style>
