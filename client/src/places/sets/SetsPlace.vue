<script setup lang="ts">
/** The list of sets: open, start, bring in, put aside and bring back; finding; keeping everything. */
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { chosenFile, sendFile } from '@/api/files'
import { dated } from '@/shared/logic/dated'
import { words } from '@/texts/en'
import FindProblems from './FindProblems.vue'
import KeepEverything from './KeepEverything.vue'

const router = useRouter()
const rows = ref<Schemas['SetRow'][] | null>(null)
const put = ref<Schemas['SetRow'][]>([])
const showsAside = ref(false)
const brought = ref<Schemas['BroughtOut'] | null>(null)
const refusal = ref('')

async function tried(action: () => Promise<void>): Promise<void> {
  try {
    await action()
    refusal.value = ''
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    refusal.value = reason.message
  }
}

function load(): Promise<void> {
  return tried(async () => {
    rows.value = await result(api.GET('/api/sets'))
    put.value = await result(api.GET('/api/sets', { params: { query: { aside: true } } }))
  })
}
void load()

function start(): Promise<void> {
  return tried(async () => {
    const body = { title: '', instruction: '', house: {}, items: [] }
    const made = await result(api.POST('/api/sets', { body }))
    await router.push({ name: 'set', params: { id: made.id } })
  })
}

async function bringIn(): Promise<void> {
  const file = await chosenFile('.json,.csv,.tsv,.xlsx,.txt,.md,.tex')
  await tried(async () => {
    brought.value = await sendFile<Schemas['BroughtOut']>('/api/exchange/set', file)
  })
  await load()
}

function takeBack(identity: string): Promise<void> {
  return tried(async () => {
    const path = { identity }
    await result(api.DELETE('/api/exchange/set/{identity}', { params: { path } }))
    brought.value = null
    await load()
  })
}

function putAside(row: Schemas['SetRow']): Promise<void> {
  return tried(async () => {
    await result(api.DELETE('/api/sets/{identity}', { params: { path: { identity: row.id } } }))
    showsAside.value = true
    await load()
  })
}

function bringBack(row: Schemas['SetRow']): Promise<void> {
  return tried(async () => {
    const path = { identity: row.id }
    await result(api.POST('/api/sets/{identity}/restore', { params: { path } }))
    await load()
  })
}
</script>

<template>
  <main class="page">
    <header class="head">
      <h1>{{ words.sets.title }}</h1>
      <span class="gap" />
      <router-link :to="{ name: 'proofs' }">{{ words.proofs.title }}</router-link>
      <el-button @click="bringIn">{{ words.sets.bringIn }}</el-button>
      <el-button type="primary" @click="start">{{ words.sets.start }}</el-button>
    </header>
    <FindProblems />
    <p v-if="refusal" role="alert" class="warm">
      {{ refusal }} <el-button @click="load">{{ words.show.again }}</el-button>
    </p>
    <section v-if="brought" class="brought" role="status">
      <p>
        <router-link :to="{ name: 'set', params: { id: brought.set.id } }">
          {{ brought.set.title || words.sets.untitled }}
        </router-link>
        {{
          words.sets.broughtIn(brought.rows.filter((row) => row.taken).length, brought.rows.length)
        }}
        <button type="button" class="quiet-button" @click="takeBack(brought.set.id)">
          {{ words.sets.takeBack }}
        </button>
      </p>
      <ul>
        <li v-for="row in brought.rows.filter((one) => one.says !== 'taken')" :key="row.at">
          <b>{{ words.sets.row(row.at) }}</b> <code v-if="row.given">{{ row.given }}</code>
          {{ row.says }}
        </li>
      </ul>
    </section>
    <section v-if="rows && !rows.length" class="empty">
      <h2>{{ words.sets.none }}</h2>
      <p>{{ words.sets.noneSays }}</p>
    </section>
    <table v-else-if="rows" class="list">
      <thead>
        <tr>
          <th scope="col">{{ words.examples.name }}</th>
          <th scope="col" class="count">{{ words.sets.items }}</th>
          <th scope="col">{{ words.examples.changed }}</th>
          <th scope="col">
            <span class="unseen">{{ words.examples.putAside }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <td>
            <router-link :to="{ name: 'set', params: { id: row.id } }">
              {{ row.title || words.sets.untitled }}
            </router-link>
            <span v-if="row.form" class="quiet"> {{ words.sets.form(row.form) }}</span>
          </td>
          <td class="count">{{ row.item_count }}</td>
          <td class="quiet">{{ dated(row.changed) }}</td>
          <td>
            <button type="button" class="quiet-button" @click="putAside(row)">
              {{ words.examples.putAside }}
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <details v-if="put.length" class="aside" :open="showsAside">
      <summary>{{ words.sets.aside(put.length) }}</summary>
      <p v-for="row in put" :key="row.id">
        {{ row.title || words.sets.untitled }}
        <button type="button" class="quiet-button" @click="bringBack(row)">
          {{ words.examples.bringBack }}
        </button>
      </p>
    </details>
    <KeepEverything @restored="load" />
  </main>
</template>

<style scoped>
.brought {
  border-left: 3px solid var(--ink);
  padding-left: 0.9rem;
  margin: 0.6rem 0 1.2rem;
}
.brought ul {
  margin: 0.3rem 0;
  padding-left: 1.1rem;
  font-size: 0.9rem;
}
.aside {
  margin-top: 1.2rem;
}
.aside summary {
  cursor: pointer;
}
</style>
