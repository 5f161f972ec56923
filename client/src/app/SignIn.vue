<script setup lang="ts">
/** Signing in: at the start, and over the page when a session has ended. */
import { ref } from 'vue'
import { signIn } from '@/api/session'
import { useAction } from '@/api/useAction'
import { words } from '@/texts/en'
import NamePassword from './NamePassword.vue'

const props = defineProps<{
  /** The name that was signed in before. */
  name?: string
}>()
const emit = defineEmits<{ done: [] }>()

const username = ref(props.name ?? '')
const password = ref('')
const shared = ref(false)
const { busy, refusal, run } = useAction()

async function submit(): Promise<void> {
  if (await run(() => signIn(username.value.trim(), password.value, shared.value))) emit('done')
  password.value = ''
}
</script>

<template>
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
</template>
