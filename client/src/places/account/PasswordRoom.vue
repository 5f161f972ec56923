<script setup lang="ts">
/** Another password. */
import { ref } from 'vue'
import { api, result } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import SayPassword from './SayPassword.vue'

const emit = defineEmits<{ changed: [] }>()
const old = ref('')
const fresh = ref('')
const says = ref('')
const { busy, refusal, run } = useAction()

async function change(): Promise<void> {
  says.value = ''
  const isDone = await run(async () => {
    const body = { old: old.value, new: fresh.value }
    await result(api.PUT('/api/session/password', { body }))
  })
  old.value = ''
  if (!isDone) return
  fresh.value = ''
  says.value = words.account.changed
  emit('changed')
}
</script>

<template>
  <section>
    <h2>{{ words.account.password }}</h2>
    <el-form label-position="top" @submit.prevent="change">
      <SayPassword v-model="old" :label="words.account.old" />
      <SayPassword v-model="fresh" :label="words.account.fresh" fresh />
      <el-button native-type="submit" :disabled="busy || !old || fresh.length < 10">
        {{ words.account.change }}
      </el-button>
      <p v-if="says" role="status">{{ says }}</p>
      <FailureNote :message="refusal" final />
    </el-form>
  </section>
</template>
