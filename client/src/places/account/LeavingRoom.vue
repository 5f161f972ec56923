<script setup lang="ts">
/** Deleting one's account: everything is kept as a file first; until the day comes one may stay. */
import { ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { loadSession } from '@/api/session'
import { useAction } from '@/api/useAction'
import { dated } from '@/shared/logic/dated'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import SayPassword from './SayPassword.vue'

defineProps<{ account: Schemas['AccountOut'] }>()
const emit = defineEmits<{ changed: [] }>()

const password = ref('')
const { busy, refusal, run } = useAction()

async function leave(): Promise<void> {
  await run(async () => {
    await result(api.POST('/api/keep/leave', { body: { password: password.value } }))
    await loadSession()
    emit('changed')
  })
  password.value = ''
}

async function stay(): Promise<void> {
  await run(async () => {
    await result(api.DELETE('/api/keep/leave'))
    await loadSession()
    emit('changed')
  })
}
</script>

<template>
  <section>
    <h2>{{ words.account.leaving }}</h2>
    <template v-if="account.leaves">
      <p>{{ words.account.leavesOn(dated(account.leaves)) }}</p>
      <el-button type="primary" :disabled="busy" @click="stay">{{ words.account.stay }}</el-button>
    </template>
    <template v-else>
      <p class="u-quiet">{{ words.account.leavingSays }}</p>
      <p>
        <a href="/api/keep/everything.json" download>{{ words.account.keep }}</a>
        <span v-if="account.exported" class="u-quiet">
          {{ words.account.kept(dated(account.exported)) }}
        </span>
      </p>
      <el-form label-position="top" @submit.prevent="leave">
        <SayPassword v-if="account.password" v-model="password" />
        <el-button native-type="submit" :disabled="busy || (account.password && !password)">
          {{ words.account.delete }}
        </el-button>
      </el-form>
    </template>
    <FailureNote :message="refusal" final />
  </section>
</template>
