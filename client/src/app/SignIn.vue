<script setup lang="ts">
/** Signing in: at the start, and over the page when a session has ended. */
import { ref } from 'vue'
import { Refusal } from '@/api/client'
import { signIn } from '@/api/session'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The name that was signed in before. */
  name?: string
}>()
const emit = defineEmits<{ done: [] }>()

const username = ref(props.name ?? '')
const password = ref('')
const refusal = ref('')
const busy = ref(false)

async function submit(): Promise<void> {
  busy.value = true
  try {
    await signIn(username.value.trim(), password.value)
    emit('done')
  } catch (reason) {
    refusal.value = reason instanceof Refusal ? reason.message : words.failures.network
  } finally {
    busy.value = false
    password.value = ''
  }
}
</script>

<template>
  <form class="sign-in" @submit.prevent="submit">
    <label for="name">{{ words.signIn.name }}</label>
    <input id="name" v-model="username" class="typed" autocomplete="username" required />
    <label for="password">{{ words.signIn.password }}</label>
    <input
      id="password"
      v-model="password"
      class="typed"
      type="password"
      autocomplete="current-password"
      required
    />
    <p class="warm" role="alert">{{ refusal }}</p>
    <el-button type="primary" native-type="submit" :loading="busy">{{ words.signIn.go }}</el-button>
  </form>
</template>

<style scoped>
.sign-in {
  display: grid;
  gap: 0.35rem;
}
label {
  font-size: 0.86rem;
  color: var(--quiet);
}
.warm {
  margin: 0;
  min-height: 1.4rem;
}
</style>
