<script setup lang="ts">
/** The school's own sign-in: connected to this account, or taken off it. */
import { ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { current } from '@/api/session'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import SayPassword from './SayPassword.vue'

defineProps<{ account: Schemas['AccountOut'] }>()
const emit = defineEmits<{ changed: [] }>()

const password = ref('')
const { busy, refusal, run } = useAction()

/** Goes there once the wish is noted; a wrong password leaves one here. */
async function connect(): Promise<void> {
  const isNoted = await run(async () => {
    await result(api.POST('/api/account/provider', { body: { password: password.value } }))
  })
  password.value = ''
  if (isNoted) location.assign('/provider/begin')
}

async function disconnect(): Promise<void> {
  await run(async () => {
    await result(api.DELETE('/api/account/provider'))
    emit('changed')
  })
}
</script>

<template>
  <section>
    <h2>{{ words.account.provider }}</h2>
    <p class="u-quiet">{{ words.account.providerSays[account.connected ? 'on' : 'off'] }}</p>
    <el-button v-if="account.connected" :disabled="busy" @click="disconnect">
      {{ words.account.disconnect }}
    </el-button>
    <el-form v-else label-position="top" @submit.prevent="connect">
      <SayPassword v-if="account.password" v-model="password" />
      <el-button native-type="submit" :disabled="busy || (account.password && !password)">
        {{ words.account.connect(current?.provider ?? '') }}
      </el-button>
    </el-form>
    <FailureNote :message="refusal" final />
  </section>
</template>
