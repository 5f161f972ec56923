<script setup lang="ts">
/** The list of sets: open, start, put aside and bring back. */
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { dated } from '@/shared/logic/dated'
import { words } from '@/texts/en'

const router = useRouter()
const rows = ref<Schemas['SetRow'][] | null>(null)
const aside = ref<Schemas['SetRow'] | null>(null)
const wanted = ref('')
const refusal = ref('')

const found = computed(() =>
  (rows.value ?? []).filter((row) => row.title.toLowerCase().includes(wanted.value.toLowerCase())),
)

async function tried(action: () => Promise<void>): Promise<void> {
  try {
    await action()
    refusal.value = ''
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    refusal.value = reason.message
  }
}

async function load(): Promise<void> {
  await tried(async () => {
    rows.value = await result(api.GET('/api/sets'))
  })
}
void load()

function start(): Promise<void> {
  return tried(async () => {
    const body = { title: '', instruction: '', items: [] }
    const made = await result(api.POST('/api/sets', { body }))
    await router.push({ name: 'set', params: { id: made.id } })
  })
}

function putAside(row: Schemas['SetRow']): Promise<void> {
  return tried(async () => {
    await result(api.DELETE('/api/sets/{identity}', { params: { path: { identity: row.id } } }))
    aside.value = row
    await load()
  })
}

function bringBack(row: Schemas['SetRow']): Promise<void> {
  return tried(async () => {
    const path = { identity: row.id }
    await result(api.POST('/api/sets/{identity}/restore', { params: { path } }))
    aside.value = null
    await load()
  })
}
</script>

<template>
  <main class="page">
    <header class="head">
      <h1>{{ words.sets.title }}</h1>
      <input
        v-model="wanted"
        class="typed find"
        type="search"
        :placeholder="words.sets.filter"
        :aria-label="words.sets.filter"
      />
      <span class="gap" />
      <el-button type="primary" @click="start">{{ words.sets.start }}</el-button>
    </header>
    <p v-if="refusal" role="alert" class="warm">
      {{ refusal }} <el-button @click="load">{{ words.show.again }}</el-button>
    </p>
    <p v-if="aside" role="status">
      {{ words.examples.wasPutAside }}
      <button type="button" class="quiet-button" @click="bringBack(aside)">
        {{ words.examples.bringBack }}
      </button>
    </p>
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
        <tr v-for="row in found" :key="row.id">
          <td>
            <router-link :to="{ name: 'set', params: { id: row.id } }">
              {{ row.title || words.sets.untitled }}
            </router-link>
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
  </main>
</template>
