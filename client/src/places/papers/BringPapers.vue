<script setup lang="ts">
/** Papers come in as a table, pasted or from a file; each row is told. */
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'
import type { useSitting } from './useSitting'

const props = defineProps<{ sitting: ReturnType<typeof useSitting> }>()

const text = ref('')
const taken = ref<Schemas['TakenIn'] | null>(null)
const left = computed(() => taken.value?.rows.filter((row) => !row.taken) ?? [])
const busy = computed(() => props.sitting.action.busy.value)

async function takeTable(): Promise<void> {
  taken.value = await props.sitting.takeTable(text.value)
  if (taken.value && !left.value.length) text.value = ''
}
async function takeFile(event: Event): Promise<void> {
  const field = event.target as HTMLInputElement
  const file = field.files?.[0]
  if (file) taken.value = await props.sitting.takeFile(file)
  field.value = ''
}
</script>

<template>
  <section>
    <form @submit.prevent="takeTable">
      <label for="table">{{ words.papers.table }}</label>
      <el-input
        id="table"
        v-model="text"
        type="textarea"
        :rows="6"
        maxlength="400000"
        :placeholder="words.papers.tableExample"
        spellcheck="false"
      />
      <p class="u-quiet">{{ words.papers.tableSays }}</p>
      <p class="ways">
        <el-button native-type="submit" :disabled="busy || !text.trim()">{{
          words.papers.take
        }}</el-button>
        <label class="file">
          {{ words.papers.file }}
          <input
            type="file"
            accept=".csv,.tsv,.txt,.md,.xlsx,.json"
            :disabled="busy"
            @change="takeFile"
          />
        </label>
      </p>
    </form>
    <div v-if="taken" role="status">
      <p>{{ words.papers.taken(taken.changed) }}</p>
      <ul v-if="left.length">
        <li v-for="row in left" :key="row.at">
          {{ words.papers.notTaken(row.at) }} {{ row.says }}
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
label {
  display: block;
  margin-bottom: var(--space-2);
}
.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-4);
}
.file {
  margin: 0;
  color: var(--quiet);
}
</style>
