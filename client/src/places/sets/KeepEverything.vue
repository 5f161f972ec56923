<script setup lang="ts">
/** All that a teacher owns as one file, and bringing it back. */
import { ref } from 'vue'
import { Refusal, type Schemas } from '@/api/client'
import { chosenFile, sendFile } from '@/api/files'
import { words } from '@/texts/en'

const emit = defineEmits<{ restored: [] }>()
const says = ref('')
const refusal = ref('')

async function restore(): Promise<void> {
  const file = await chosenFile('.json')
  try {
    const made = await sendFile<Schemas['RestoredOut']>('/api/keep/restore', file)
    says.value = words.sets.restored(made.examples, made.sets)
    refusal.value = ''
    emit('restored')
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    refusal.value = reason.message
  }
}
</script>

<template>
  <section class="keep">
    <h2>{{ words.sets.keepTitle }}</h2>
    <p class="quiet">{{ words.sets.keepSays }}</p>
    <a href="/api/keep/everything.json" download>{{ words.sets.keep }}</a>
    <button type="button" class="quiet-button" @click="restore">{{ words.sets.restore }}</button>
    <p v-if="says" role="status">{{ says }}</p>
    <p v-if="refusal" role="alert" class="warm">{{ refusal }}</p>
  </section>
</template>

<style scoped>
.keep {
  margin-top: 3rem;
  border-top: 1px solid var(--rule);
  padding-top: 1rem;
  max-width: 40rem;
}
a {
  margin-right: 1rem;
}
</style>
