<script setup lang="ts">
/** Asking for a link with which one sets a new password. */
import { ref, useId } from 'vue'
import { api, result } from '@/api/client'
import { useAction } from '@/api/useAction'
import { words } from '@/texts/en'

const props = defineProps<{
  /** What was typed as a name so far. */
  name: string
}>()
defineEmits<{ leave: [] }>()

const name = ref(props.name)
const sent = ref(false)
const id = useId()
const { busy, refusal, run } = useAction()

async function ask(): Promise<void> {
  sent.value = await run(async () => {
    await result(api.POST('/api/session/reset', { body: { name: name.value.trim() } }))
  })
}
</script>

<template>
  <div class="forgot">
    <p v-if="sent" role="status">{{ words.signIn.sent }}</p>
    <form v-else @submit.prevent="ask">
      <label :for="id">{{ words.signIn.nameOrMail }}</label>
      <el-input :id="id" v-model="name" maxlength="254" autocomplete="username" required />
      <p class="u-warm" role="alert">{{ refusal }}</p>
      <el-button type="primary" native-type="submit" :loading="busy" :disabled="!name.trim()">
        {{ words.signIn.send }}
      </el-button>
    </form>
    <el-button link type="primary" @click="$emit('leave')">{{ words.signIn.back }}</el-button>
  </div>
</template>

<style scoped>
form {
  display: grid;
  gap: var(--space-2);
  margin-bottom: var(--space-4);
}
label {
  font-size: var(--type-note);
  color: var(--quiet);
}
p {
  margin: 0 0 var(--space-3);
}
</style>
