<script setup lang="ts">
/** An own error being written: examined while one types, kept only when it is no law. */
import { useDebounceFn } from '@vueuse/core'
import { onScopeDispose, reactive, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import ExaminedError from './ExaminedError.vue'

const props = defineProps<{
  /** The stored one that is changed; null for a new one. */
  stored: Schemas['OwnErrorOut'] | null
  /** What a new one begins with: a line, and what a student made of it. */
  before?: string
  after?: string
}>()
const emit = defineEmits<{ kept: []; leave: [] }>()

const typed = reactive({
  name: props.stored?.name ?? '',
  before: props.stored?.before ?? props.before ?? '',
  after: props.stored?.after ?? props.after ?? '',
  when: (props.stored?.when ?? []).join(', '),
  says: props.stored?.says ?? '',
  examples: '',
})
const examined = ref<Schemas['Examined'] | null>(null)
const refusal = ref('')
const action = useAction()
const { busy: keeping, refusal: notKept } = action
let current: AbortController | null = null

function listed(text: string, separator: RegExp): string[] {
  return text
    .split(separator)
    .map((part) => part.trim())
    .filter(Boolean)
}

function body(): Schemas['OwnErrorIn'] {
  const { name, before, after, says } = typed
  return { name, before, after, says, when: listed(typed.when, /[,;]/) }
}

async function examine(): Promise<void> {
  current?.abort()
  if (!typed.before.trim() || !typed.after.trim()) {
    examined.value = null
    refusal.value = ''
    return
  }
  const control = (current = new AbortController())
  try {
    const asked = { ...body(), examples: listed(typed.examples, /[;\n]/).slice(0, 6) }
    examined.value = await result(
      api.POST('/api/errors/examine', { body: asked, signal: control.signal }),
    )
    refusal.value = ''
  } catch (reason) {
    if (current !== control || !(reason instanceof Refusal)) return
    examined.value = null
    refusal.value = reason.message
  }
}
const soon = useDebounceFn(() => void examine(), 300)
watch(typed, () => void soon(), { immediate: true })
onScopeDispose(() => current?.abort())

function keep(): Promise<boolean> {
  return action.run(async () => {
    if (props.stored) {
      const path = { identity: props.stored.id }
      await result(api.PUT('/api/errors/{identity}', { params: { path }, body: body() }))
    } else await result(api.POST('/api/errors', { body: body() }))
    emit('kept')
  })
}
</script>

<template>
  <form class="own" @submit.prevent="keep" @keydown.escape="emit('leave')">
    <label class="wide">
      {{ words.errors.ownName }}
      <el-input v-model="typed.name" maxlength="200" required />
    </label>
    <label>
      {{ words.errors.ownBefore }}
      <el-input
        v-model="typed.before"
        spellcheck="false"
        autocomplete="off"
        placeholder="sqrt(a - b)"
      />
    </label>
    <label>
      {{ words.errors.ownAfter }}
      <el-input
        v-model="typed.after"
        spellcheck="false"
        autocomplete="off"
        placeholder="sqrt(a) - sqrt(b)"
      />
    </label>
    <label class="wide">
      {{ words.errors.ownWhen }}
      <el-input v-model="typed.when" spellcheck="false" placeholder="a is a number, b is not 0" />
      <span class="u-quiet">{{ words.errors.ownWhenSays }}</span>
    </label>
    <label class="wide">
      {{ words.errors.ownSays }}
      <el-input v-model="typed.says" maxlength="1000" />
    </label>
    <label class="wide">
      {{ words.errors.ownTry }}
      <el-input
        v-model="typed.examples"
        spellcheck="false"
        placeholder="sqrt(25 - 16); 3 + sqrt(x - 9)"
      />
    </label>
    <ExaminedError class="wide" :examined="examined" :refusal="refusal" />
    <FailureNote class="wide" :message="notKept" @again="action.again" />
    <div class="wide">
      <el-button
        type="primary"
        native-type="submit"
        :loading="keeping"
        :disabled="examined?.is !== 'error' || !typed.name.trim()"
      >
        {{ words.errors.keep }}
      </el-button>
      <el-button @click="emit('leave')">{{ words.errors.leave }}</el-button>
    </div>
  </form>
</template>

<style scoped src="./own-error-form.css"></style>
