<script setup lang="ts">
/** The list of examples; open, put aside and bring back, import and export. */
import { ElMessage } from 'element-plus'
import 'element-plus/es/components/message/style/css'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { dated } from '@/shared/logic/dated'
import { words } from '@/texts/en'
import { readable } from '@/shared/logic/readable'

const router = useRouter()
const rows = ref<Schemas['ExampleRow'][] | null>(null)
const aside = ref<Schemas['ExampleRow'] | null>(null)
const wanted = ref('')
const refusal = ref('')
const file = ref<HTMLInputElement | null>(null)

const found = computed(() =>
  (rows.value ?? []).filter((row) =>
    `${row.title} ${row.given} ${words.tasks[row.task]}`
      .toLowerCase()
      .includes(wanted.value.toLowerCase()),
  ),
)

async function load(): Promise<void> {
  try {
    rows.value = await result(api.GET('/api/examples'))
    refusal.value = ''
  } catch (reason) {
    if (reason instanceof Refusal) refusal.value = reason.message
  }
}
void load()

async function putAside(row: Schemas['ExampleRow']): Promise<void> {
  await result(api.DELETE('/api/examples/{identity}', { params: { path: { identity: row.id } } }))
  aside.value = row
  await load()
}

async function bringBack(): Promise<void> {
  if (!aside.value) return
  const path = { identity: aside.value.id }
  await result(api.POST('/api/examples/{identity}/restore', { params: { path } }))
  aside.value = null
  await load()
}

async function bringIn(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement
  const text = await input.files?.[0]?.text()
  input.value = ''
  if (text === undefined) return
  try {
    const body = JSON.parse(text) as Record<string, unknown>
    const { count } = await result(api.POST('/api/examples/import', { body }))
    ElMessage({ message: words.examples.imported(count), type: 'success' })
    await load()
  } catch (reason) {
    const message = reason instanceof Refusal ? reason.message : words.examples.badFile
    ElMessage({ message, type: 'warning', duration: 8000, showClose: true })
  }
}

async function giveOut(): Promise<void> {
  const document_ = await result(api.GET('/api/examples/export'))
  const link = document.createElement('a')
  link.href = URL.createObjectURL(
    new Blob([JSON.stringify(document_, null, 2)], { type: 'application/json' }),
  )
  link.download = 'uchuu-examples.json'
  link.click()
  URL.revokeObjectURL(link.href)
}

function start(): void {
  void router.push({ name: 'bench', params: { id: 'new' } })
}
</script>

<template>
  <main class="page">
    <header class="head">
      <h1>{{ words.examples.title }}</h1>
      <input
        v-model="wanted"
        class="typed find"
        type="search"
        :placeholder="words.examples.filter"
        :aria-label="words.examples.filter"
      />
      <span class="gap" />
      <el-button @click="file?.click()">{{ words.examples.bringIn }}</el-button>
      <el-button @click="giveOut">{{ words.examples.giveOut }}</el-button>
      <el-button type="primary" @click="start">{{ words.examples.start }}</el-button>
      <input
        ref="file"
        class="unseen"
        type="file"
        accept=".json,application/json"
        tabindex="-1"
        :aria-label="words.examples.bringIn"
        @change="bringIn"
      />
    </header>
    <p v-if="aside" class="aside" role="status">
      {{ words.examples.wasPutAside }}
      <button type="button" class="quiet-button" @click="bringBack">
        {{ words.examples.bringBack }}
      </button>
    </p>
    <p v-if="refusal" role="alert" class="warm">{{ refusal }}</p>
    <div v-if="rows && !rows.length" class="empty">
      <h2>{{ words.examples.none }}</h2>
      <p>{{ words.examples.noneSays }}</p>
    </div>
    <table v-else-if="rows" class="list">
      <thead>
        <tr>
          <th scope="col">{{ words.examples.name }}</th>
          <th scope="col">{{ words.examples.problem }}</th>
          <th scope="col">{{ words.examples.task }}</th>
          <th scope="col" class="count">{{ words.examples.lines }}</th>
          <th scope="col">{{ words.examples.changed }}</th>
          <th scope="col">
            <span class="unseen">{{ words.examples.putAside }}</span>
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in found" :key="row.id">
          <td>
            <router-link :to="{ name: 'bench', params: { id: row.id } }">
              {{ row.title || words.bench.untitled }}
            </router-link>
          </td>
          <td class="problem">{{ readable(row.given) }}</td>
          <td>{{ words.tasks[row.task] }}</td>
          <td class="count">{{ row.line_count }}</td>
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

<style scoped>
.problem {
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  max-width: 20rem;
}
.aside {
  background: var(--lit);
  padding: 0.5rem 0.8rem;
  border-radius: 6px;
}
</style>
