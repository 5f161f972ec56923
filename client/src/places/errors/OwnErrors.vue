<script setup lang="ts">
/** The teacher's own errors: listed, added, changed, deleted with a way back. */
import { ElMessage } from 'element-plus'
import 'element-plus/es/components/message/style/css'
import { ref } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import { words } from '@/texts/en'
import OwnErrorForm from './OwnErrorForm.vue'

type Own = Schemas['OwnErrorOut']

const errors = ref<Own[]>([])
/** What is being written: an error's id, 0 for a new one, null for none. */
const writing = ref<number | null>(null)
const deleted = ref<Own | null>(null)

function tell(reason: unknown): void {
  if (!(reason instanceof Refusal)) throw reason
  ElMessage({ message: reason.message, type: 'warning', duration: 6000, showClose: true })
}

async function load(): Promise<void> {
  try {
    errors.value = await result(api.GET('/api/errors'))
  } catch (reason) {
    tell(reason)
  }
}
void load()

async function kept(): Promise<void> {
  writing.value = null
  await load()
}

async function remove(error: Own): Promise<void> {
  try {
    const path = { identity: error.id }
    await result(api.DELETE('/api/errors/{identity}', { params: { path } }))
    deleted.value = error
    await load()
  } catch (reason) {
    tell(reason)
  }
}

async function bringBack(error: Own): Promise<void> {
  const { name, before, after, when, says } = error
  try {
    await result(api.POST('/api/errors', { body: { name, before, after, when, says } }))
    deleted.value = null
    await load()
  } catch (reason) {
    tell(reason)
  }
}
</script>

<template>
  <section class="owns" :aria-label="words.errors.own">
    <h2>{{ words.errors.own }}</h2>
    <p v-if="!errors.length && writing === null" class="quiet">{{ words.errors.ownNone }}</p>
    <template v-for="error in errors" :key="error.id">
      <OwnErrorForm
        v-if="writing === error.id"
        :stored="error"
        @kept="kept"
        @leave="writing = null"
      />
      <article v-else class="own-row">
        <h3>{{ error.name }}</h3>
        <p class="rewrite">
          {{ readable(error.before) }} <span aria-hidden="true">⤳</span>
          <span class="unseen">{{ words.errors.becomes }}</span>
          <span class="warm">{{ readable(error.after) }}</span>
        </p>
        <p class="quiet">{{ readable(error.counter) }} {{ error.says }}</p>
        <p>
          <button type="button" class="quiet-button" @click="writing = error.id">
            {{ words.bench.edit }}
          </button>
          <button type="button" class="quiet-button" @click="remove(error)">
            {{ words.bench.remove }}
          </button>
        </p>
      </article>
    </template>
    <p v-if="deleted" role="status">
      {{ words.errors.wasDeleted(deleted.name) }}
      <button type="button" class="quiet-button" @click="bringBack(deleted)">
        {{ words.examples.bringBack }}
      </button>
    </p>
    <OwnErrorForm v-if="writing === 0" :stored="null" @kept="kept" @leave="writing = null" />
    <el-button v-else @click="writing = 0">{{ words.errors.add }}</el-button>
  </section>
</template>

<style scoped>
.owns {
  margin: 1rem 0 1.5rem;
}
.own-row {
  display: grid;
  grid-template-columns: 15rem 22rem minmax(0, 1fr) auto;
  gap: 1.2rem;
  align-items: baseline;
  padding: 0.5rem 0;
  border-bottom: 1px solid var(--rule);
}
.own-row h3,
.own-row p {
  margin: 0;
  font-size: 0.95rem;
}
.quiet-button + .quiet-button {
  margin-left: 0.6rem;
}
</style>
