<script setup lang="ts">
/** The address that links for a new password go to. */
import { ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import SayPassword from './SayPassword.vue'

const props = defineProps<{ account: Schemas['AccountOut'] }>()
const emit = defineEmits<{ changed: [] }>()

const mail = ref(props.account.mail)
const password = ref('')
const says = ref('')
const { busy, refusal, run } = useAction()

async function change(): Promise<void> {
  says.value = ''
  const isDone = await run(async () => {
    const body = { mail: mail.value.trim(), password: password.value }
    await result(api.PUT('/api/account/mail', { body }))
  })
  password.value = ''
  if (!isDone) return
  says.value = words.account.mailChanged
  emit('changed')
}
</script>

<template>
  <section>
    <h2>{{ words.account.mail }}</h2>
    <p class="u-quiet">{{ words.account.mailSays }}</p>
    <el-form label-position="top" @submit.prevent="change">
      <el-form-item :label="words.account.mail">
        <el-input v-model="mail" type="email" maxlength="254" autocomplete="email" />
      </el-form-item>
      <SayPassword v-if="account.password" v-model="password" />
      <el-button native-type="submit" :disabled="busy || mail === account.mail">
        {{ words.account.keepMail }}
      </el-button>
      <p v-if="says" role="status">{{ says }}</p>
      <FailureNote :message="refusal" final />
    </el-form>
  </section>
</template>
