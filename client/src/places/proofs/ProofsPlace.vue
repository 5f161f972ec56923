<script setup lang="ts">
/** Where a key is pasted or brought to be proofed, and those that were. */
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { chosenFile, sendFile } from '@/api/files'
import { dated } from '@/shared/logic/dated'
import { words } from '@/texts/en'

const KEPT = 'uchuu.key'
const router = useRouter()
const rows = ref<Schemas['ProofRow'][] | null>(null)
const title = ref('')
const text = ref(localStorage.getItem(KEPT) ?? '')
const aside = ref<Schemas['ProofRow'] | null>(null)
const refusal = ref('')
const busy = ref(false)

async function tried(action: () => Promise<void>): Promise<void> {
  busy.value = true
  try {
    await action()
    refusal.value = ''
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    refusal.value = reason.message
  } finally {
    busy.value = false
  }
}

function load(): Promise<void> {
  return tried(async () => {
    rows.value = await result(api.GET('/api/proofs'))
  })
}
void load()

function open(made: Schemas['ProofOut']): void {
  localStorage.removeItem(KEPT)
  void router.push({ name: 'proof', params: { id: made.id } })
}

function begin(purpose: 'key' | 'sheet' = 'key'): Promise<void> {
  return tried(async () => {
    const body = { title: title.value, text: text.value, purpose }
    open(await result(api.POST('/api/proofs', { body })))
  })
}

async function beginWithFile(): Promise<void> {
  const file = await chosenFile('.txt,.md,.tex,.csv,.xlsx,.json')
  await tried(async () => open(await sendFile<Schemas['ProofOut']>('/api/proofs/file', file)))
}

function putAside(row: Schemas['ProofRow'], back: boolean): Promise<void> {
  return tried(async () => {
    const at = { params: { path: { identity: row.id } } }
    if (back) await result(api.POST('/api/proofs/{identity}/restore', at))
    else await result(api.DELETE('/api/proofs/{identity}', at))
    aside.value = back ? null : row
    rows.value = await result(api.GET('/api/proofs'))
  })
}

function kept(): void {
  localStorage.setItem(KEPT, text.value)
}
</script>

<template>
  <main class="page">
    <header class="head">
      <h1>{{ words.proofs.title }}</h1>
      <span class="gap" />
      <router-link :to="{ name: 'sets' }">{{ words.sets.title }}</router-link>
    </header>
    <p>{{ words.proofs.lead }}</p>
    <p v-if="refusal" role="alert" class="warm">{{ refusal }}</p>
    <form @submit.prevent="begin()">
      <input
        v-model="title"
        class="typed"
        maxlength="200"
        :placeholder="words.proofs.name"
        :aria-label="words.proofs.name"
      />
      <textarea
        v-model="text"
        class="typed"
        rows="12"
        spellcheck="false"
        :aria-label="words.proofs.paste"
        :placeholder="words.proofs.pasteHint"
        @input="kept"
        @keydown.ctrl.enter.prevent="begin()"
      />
      <p class="actions">
        <el-button
          native-type="submit"
          type="primary"
          title="Ctrl+Enter"
          :disabled="busy || !text.trim()"
        >
          {{ words.proofs.begin }}
        </el-button>
        <el-button :disabled="busy || !text.trim()" @click="begin('sheet')">
          {{ words.proofs.asSheet }}
        </el-button>
        <el-button :disabled="busy" @click="beginWithFile">{{ words.proofs.file }}</el-button>
      </p>
    </form>
    <h2>{{ words.proofs.earlier }}</h2>
    <p v-if="aside" role="status">
      {{ words.examples.wasPutAside }}
      <button type="button" class="quiet-button" @click="putAside(aside, true)">
        {{ words.examples.bringBack }}
      </button>
    </p>
    <p v-if="rows && !rows.length" class="quiet">{{ words.proofs.none }}</p>
    <table v-else-if="rows" class="list">
      <thead>
        <tr>
          <th scope="col">{{ words.examples.name }}</th>
          <th scope="col" class="count">{{ words.proofs.items }}</th>
          <th scope="col" class="count">{{ words.proofs.faulty }}</th>
          <th scope="col">{{ words.examples.changed }}</th>
          <th scope="col">
            <span class="unseen">{{ words.examples.putAside }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <td>
            <router-link :to="{ name: 'proof', params: { id: row.id } }">
              {{ row.title || words.proofs.untitled }}
            </router-link>
          </td>
          <td class="count">{{ row.items }}</td>
          <td class="count" :class="{ warm: row.faulty }">{{ row.faulty }}</td>
          <td class="quiet">{{ dated(row.created) }}</td>
          <td>
            <button type="button" class="quiet-button" @click="putAside(row, false)">
              {{ words.examples.putAside }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </main>
</template>

<style scoped>
form {
  max-width: 52rem;
  display: grid;
  gap: 0.6rem;
  margin-bottom: 2rem;
}
textarea {
  font-family: ui-monospace, monospace;
  font-size: 0.95rem;
}
.actions {
  margin: 0;
}
</style>
