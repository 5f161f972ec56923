<script setup lang="ts">
/** A key, pasted or as a file, to be proofed; or a sheet to be looked over. What is typed is kept here. */
import { useFileDialog, useLocalStorage } from '@vueuse/core'
import { ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { sendFile } from '@/api/files'
import { useAction } from '@/api/useAction'
import { useGoOn } from '@/shared/composables/useGoOn'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

const goOn = useGoOn()
const { busy, refusal, run, again } = useAction()
const title = ref('')
const text = useLocalStorage('uchuu.key', '')

function open(made: Schemas['ProofOut']): void {
  text.value = ''
  void goOn({ name: 'proof', params: { id: made.id } })
}

function begin(purpose: 'key' | 'sheet' = 'key'): Promise<boolean> {
  return run(async () => {
    const body = { title: title.value, text: text.value, purpose }
    open(await result(api.POST('/api/proofs', { body })))
  })
}

const files = useFileDialog({
  accept: '.txt,.md,.tex,.csv,.xlsx,.json',
  multiple: false,
  reset: true,
})
files.onChange((chosen) => {
  const file = chosen?.[0]
  if (file) {
    void run(async () => open(await sendFile<Schemas['ProofOut']>('/api/proofs/file', file)))
  }
})
</script>

<template>
  <form @submit.prevent="begin()">
    <FailureNote :message="refusal" @again="again" />
    <el-input
      v-model="title"
      maxlength="200"
      :placeholder="words.proofs.name"
      :aria-label="words.proofs.name"
    />
    <el-input
      v-model="text"
      type="textarea"
      class="key"
      :rows="12"
      maxlength="200000"
      spellcheck="false"
      :aria-label="words.proofs.paste"
      :placeholder="words.proofs.pasteHint"
      @keydown.ctrl.enter.prevent="begin()"
    />
    <p>
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
      <el-button :disabled="busy" @click="files.open()">{{ words.proofs.file }}</el-button>
    </p>
  </form>
</template>

<style scoped>
form {
  max-width: 52rem;
  display: grid;
  gap: var(--space-3);
  margin-bottom: var(--space-6);
}
.key {
  font-family: ui-monospace, monospace;
}
p {
  margin: 0;
}
</style>
