<script setup lang="ts">
/** The second factor: set up with an authenticator, its recovery codes, and taken away. */
import { computed, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import NumberEntry from '@/shared/page/NumberEntry.vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import SayPassword from './SayPassword.vue'

defineProps<{ account: Schemas['AccountOut'] }>()
const emit = defineEmits<{ changed: [] }>()

const password = ref('')
const secret = ref<Schemas['SecretOut'] | null>(null)
const codes = ref<string[]>([])
const saying = useAction()
const giving = useAction()
const picture = computed(
  () => `data:image/svg+xml,${encodeURIComponent(secret.value?.picture ?? '')}`,
)

async function begin(): Promise<void> {
  await saying.run(async () => {
    const body = { password: password.value }
    secret.value = await result(api.POST('/api/account/second-factor', { body }))
  })
  password.value = ''
}

async function drop(): Promise<void> {
  await saying.run(async () => {
    const body = { password: password.value }
    await result(api.POST('/api/account/second-factor/drop', { body }))
    codes.value = []
    emit('changed')
  })
  password.value = ''
}

async function confirm(number: string): Promise<void> {
  await giving.run(async () => {
    const body = { number }
    codes.value = (await result(api.POST('/api/account/second-factor/confirm', { body }))).codes
    secret.value = null
    emit('changed')
  })
}
</script>

<template>
  <section>
    <h2>{{ words.account.second }}</h2>
    <template v-if="secret">
      <p>{{ words.account.scan }}</p>
      <img :src="picture" :alt="words.account.picture" width="180" height="180" />
      <p class="u-quiet">
        {{ words.account.orType }} <code>{{ secret.secret }}</code>
      </p>
      <NumberEntry
        :refusal="giving.refusal.value"
        :busy="giving.busy.value"
        :go="words.account.confirm"
        :says="words.account.numberSays"
        @give="confirm"
      />
    </template>
    <template v-else>
      <p class="u-quiet">
        {{
          account.second_factor
            ? words.account.secondOn(account.codes_left)
            : words.account.secondOff
        }}
      </p>
      <div v-if="codes.length" class="codes" role="status">
        <p>{{ words.account.codes }}</p>
        <ul>
          <li v-for="code in codes" :key="code">
            <code>{{ code }}</code>
          </li>
        </ul>
      </div>
      <el-form label-position="top" @submit.prevent="account.second_factor ? drop() : begin()">
        <SayPassword v-if="account.password" v-model="password" />
        <el-button
          native-type="submit"
          :disabled="saying.busy.value || (account.password && !password)"
        >
          {{ account.second_factor ? words.account.dropSecond : words.account.beginSecond }}
        </el-button>
        <FailureNote :message="saying.refusal.value" final />
      </el-form>
    </template>
  </section>
</template>

<style scoped>
img {
  display: block;
  background: #fff;
  margin-bottom: var(--space-3);
}
code {
  overflow-wrap: anywhere;
}
.codes {
  border-left: 3px solid var(--ink);
  padding-left: var(--space-4);
  margin-bottom: var(--space-4);
}
ul {
  columns: 2;
  list-style: none;
  margin: 0;
  padding: 0;
}
</style>
