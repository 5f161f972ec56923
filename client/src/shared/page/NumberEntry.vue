<script setup lang="ts">
/** The second factor: the number that an authenticator shows, or a recovery code. */
import { ref, useId } from 'vue'
import { words } from '@/texts/en'

defineProps<{
  refusal: string
  busy: boolean
  /** What the button says. */
  go: string
  /** What may be typed. */
  says: string
}>()
const emit = defineEmits<{ give: [number: string] }>()

const number = ref('')
const id = useId()

function give(): void {
  emit('give', number.value.trim())
  number.value = ''
}
</script>

<template>
  <form class="number" @submit.prevent="give">
    <label :for="id">{{ words.signIn.number }}</label>
    <el-input
      :id="id"
      v-model="number"
      maxlength="40"
      autocomplete="one-time-code"
      autocapitalize="off"
      autofocus
      required
    />
    <p class="u-quiet">{{ says }}</p>
    <p class="u-warm" role="alert">{{ refusal }}</p>
    <el-button type="primary" native-type="submit" :loading="busy">{{ go }}</el-button>
  </form>
</template>

<style scoped>
.number {
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
