<script setup lang="ts">
/** Signing in: at the start, and over the page when a session has ended. */
import { ref } from 'vue'
import { Refusal } from '@/api/client'
import { current, giveNumber, signIn } from '@/api/session'
import { useAction } from '@/api/useAction'
import { words } from '@/texts/en'
import ForgotPassword from './ForgotPassword.vue'
import NamePassword from './NamePassword.vue'
import NumberEntry from '@/shared/page/NumberEntry.vue'

const props = defineProps<{
  /** The name that was signed in before. */
  name?: string
}>()
const emit = defineEmits<{ done: [] }>()

const username = ref(props.name ?? '')
const password = ref('')
const shared = ref(false)
const asks = ref<'password' | 'number' | 'mail'>('password')
const { busy, refusal, run } = useAction()

/** What is asked next, by what the server refuses. */
const NEXT: Record<string, typeof asks.value> = {
  'second-factor': 'number',
  'begin-again': 'password',
}

async function tried(action: () => Promise<void>): Promise<void> {
  const isDone = await run(async () => {
    try {
      await action()
    } catch (reason) {
      if (reason instanceof Refusal) asks.value = NEXT[reason.code] ?? asks.value
      throw reason
    }
  })
  if (isDone) emit('done')
}

async function submit(): Promise<void> {
  await tried(() => signIn(username.value.trim(), password.value, shared.value))
  if (asks.value === 'number') refusal.value = ''
  password.value = ''
}
</script>

<template>
  <NumberEntry
    v-if="asks === 'number'"
    :refusal="refusal"
    :busy="busy"
    :go="words.signIn.go"
    :says="words.signIn.numberSays"
    @give="(number) => tried(() => giveNumber(number))"
  />
  <ForgotPassword v-else-if="asks === 'mail'" :name="username" @leave="asks = 'password'" />
  <template v-else>
    <NamePassword
      v-model:username="username"
      v-model:password="password"
      :refusal="refusal"
      :busy="busy"
      :go="words.signIn.go"
      @submit="submit"
    >
      <el-checkbox v-model="shared" :title="words.signIn.sharedSays">
        {{ words.signIn.shared }}
      </el-checkbox>
    </NamePassword>
    <p v-if="current?.mails || current?.provider" class="ways">
      <a v-if="current.provider" href="/provider/begin">
        {{ words.signIn.provider(current.provider) }}
      </a>
      <el-button v-if="current.mails" link type="primary" @click="asks = 'mail'">
        {{ words.signIn.forgot }}
      </el-button>
    </p>
  </template>
</template>

<style scoped>
.ways {
  display: flex;
  flex-direction: column;
  align-items: start;
  gap: var(--space-3);
  margin: var(--space-5) 0 0;
}
.ways .el-button {
  margin-left: 0;
  padding: 0;
  font-size: inherit;
}
</style>
