<script setup lang="ts">
/** The school's own sign-in: connected to this account, or taken off it. */
import { api, result, type Schemas } from '@/api/client'
import { current } from '@/api/session'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

defineProps<{ account: Schemas['AccountOut'] }>()
const emit = defineEmits<{ changed: [] }>()

const { busy, refusal, run } = useAction()

async function disconnect(): Promise<void> {
  await run(async () => {
    await result(api.DELETE('/api/account/provider'))
    emit('changed')
  })
}
</script>

<template>
  <section>
    <h2>{{ words.account.provider }}</h2>
    <p class="u-quiet">{{ words.account.providerSays[account.connected ? 'on' : 'off'] }}</p>
    <el-button v-if="account.connected" :disabled="busy" @click="disconnect">
      {{ words.account.disconnect }}
    </el-button>
    <a v-else href="/provider/begin">{{ words.account.connect(current?.provider ?? '') }}</a>
    <FailureNote :message="refusal" final />
  </section>
</template>
