<script setup lang="ts">
/** A link to hand on, shown once. */
import { ref } from 'vue'
import { words } from '@/texts/en'

const props = defineProps<{
  link: string
  /** For whom it is, and how long. */
  says: string
}>()

const said = ref('')

async function copy(): Promise<void> {
  await navigator.clipboard.writeText(props.link)
  said.value = words.people.copied
}
</script>

<template>
  <div class="link" role="status">
    <p>{{ says }}</p>
    <code>{{ link }}</code>
    <p>
      <el-button @click="copy">{{ words.people.copy }}</el-button>
      <span class="u-quiet">{{ said }}</span>
    </p>
  </div>
</template>

<style scoped>
.link {
  border-left: 3px solid var(--ink);
  padding-left: var(--space-4);
  margin-bottom: var(--space-5);
}
code {
  overflow-wrap: anywhere;
}
p {
  margin: var(--space-2) 0;
}
</style>
