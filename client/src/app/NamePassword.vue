<script setup lang="ts">
/** A name and a password, and why they were refused. */
import { useId } from 'vue'
import { words } from '@/texts/en'

const username = defineModel<string>('username', { required: true })
const password = defineModel<string>('password', { required: true })
defineProps<{
  refusal: string
  busy: boolean
  /** What the button says. */
  go: string
  /** Whether the password is a new one. */
  fresh?: boolean
  /** Whether the name is given. */
  fixed?: boolean
}>()
defineEmits<{ submit: [] }>()

const [nameId, passwordId] = [useId(), useId()]
</script>

<template>
  <form class="name-password" @submit.prevent="$emit('submit')">
    <label :for="nameId">{{ words.signIn.name }}</label>
    <el-input
      :id="nameId"
      v-model="username"
      maxlength="150"
      autocomplete="username"
      autocapitalize="off"
      :readonly="fixed"
      required
    />
    <label :for="passwordId">{{ words.signIn.password }}</label>
    <el-input
      :id="passwordId"
      v-model="password"
      type="password"
      maxlength="1000"
      :autocomplete="fresh ? 'new-password' : 'current-password'"
      required
    />
    <p v-if="fresh" class="u-quiet">{{ words.signIn.passwordRule }}</p>
    <slot />
    <p class="u-warm" role="alert">{{ refusal }}</p>
    <el-button type="primary" native-type="submit" :loading="busy">{{ go }}</el-button>
  </form>
</template>

<style scoped>
.name-password {
  display: grid;
  gap: var(--space-2);
}
label {
  font-size: var(--type-note);
  color: var(--quiet);
}
p {
  margin: 0;
}
.u-warm {
  min-height: 1.4rem;
}
</style>
