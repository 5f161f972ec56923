<script setup lang="ts">
/** Making a set of a file; what became of each row is told, and all of it can be taken back as one. */
import { useQueryClient } from '@tanstack/vue-query'
import { useFileDialog } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { sendFile } from '@/api/files'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

const cache = useQueryClient()
const { busy, refusal, run, again } = useAction()
const brought = ref<Schemas['BroughtOut'] | null>(null)
const rest = computed(() => brought.value?.rows.filter((one) => one.says !== 'taken') ?? [])
const shown = computed({
  get: () => !!brought.value || !!refusal.value,
  set: () => {
    brought.value = null
    refusal.value = ''
  },
})

const changed = () =>
  Promise.all(['sets', 'examples'].map((kind) => cache.invalidateQueries({ queryKey: [kind] })))

const { open, onChange } = useFileDialog({
  accept: '.json,.csv,.tsv,.xlsx,.txt,.md,.tex',
  multiple: false,
  reset: true,
})
onChange((files) => {
  const file = files?.[0]
  if (!file) return
  void run(async () => {
    brought.value = await sendFile<Schemas['BroughtOut']>('/api/exchange/set', file)
    void changed() // what came in can be taken back at once: it does not wait for the lists
  })
})

function takeBack(identity: string): Promise<boolean> {
  return run(async () => {
    const path = { identity }
    await result(api.DELETE('/api/exchange/set/{identity}', { params: { path } }))
    brought.value = null
    await changed()
  })
}
</script>

<template>
  <el-button :disabled="busy" @click="open()">{{ words.sets.bringIn }}</el-button>
  <el-dialog v-model="shown" :title="words.sets.bringIn" width="40rem">
    <FailureNote :message="refusal" @again="again" />
    <template v-if="brought">
      <p role="status">
        <router-link :to="{ name: 'set', params: { id: brought.set.id } }">
          {{ brought.set.title || words.sets.untitled }}
        </router-link>
        {{
          words.sets.broughtIn(brought.rows.filter((row) => row.taken).length, brought.rows.length)
        }}
      </p>
      <ul>
        <li v-for="row in rest" :key="row.at">
          <b>{{ words.sets.row(row.at) }}</b> <code v-if="row.given">{{ row.given }}</code>
          {{ row.says }}
        </li>
      </ul>
      <el-button :disabled="busy" @click="takeBack(brought.set.id)">
        {{ words.sets.takeBack }}
      </el-button>
    </template>
  </el-dialog>
</template>

<style scoped>
ul {
  padding-left: var(--space-5);
  font-size: var(--type-note);
  max-height: 50vh;
  overflow-y: auto;
}
</style>
