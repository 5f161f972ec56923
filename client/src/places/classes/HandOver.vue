<script setup lang="ts">
/** Handing a class over to a colleague: to whom, and its title said twice. */
import { computed, ref, useId } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { useDepartment } from '@/sharing/useDepartment'
import { words } from '@/texts/en'

const open = defineModel<boolean>({ required: true })
const props = defineProps<{ row: Schemas['ClassRow'] }>()

const { query, changed } = useDepartment()
const to = ref('')
const title = ref('')
const [toId, titleId] = [useId(), useId()]
const { busy, refusal, run } = useAction()
const colleagues = computed(() => query.data.value?.colleagues ?? [])
const isSaid = computed(() => !!to.value && title.value.trim() === props.row.title)

async function hand(): Promise<void> {
  const isDone = await run(async () => {
    const body = { school_class: props.row.id, to: to.value, title: title.value }
    await result(api.POST('/api/handed', { body }))
    await changed()
  })
  if (isDone) open.value = false
}
</script>

<template>
  <el-dialog v-model="open" :title="words.department.handTitle(row.title)" width="28rem">
    <p>{{ words.department.handSays }}</p>
    <p v-if="query.data.value && !colleagues.length">{{ words.department.nobody }}</p>
    <form v-else @submit.prevent="hand">
      <label :for="toId">{{ words.department.to }}</label>
      <el-select :id="toId" v-model="to" :placeholder="words.department.somebody">
        <el-option v-for="name in colleagues" :key="name" :value="name" :label="name" />
      </el-select>
      <label :for="titleId">{{ words.department.sayAgain(row.title) }}</label>
      <el-input :id="titleId" v-model="title" maxlength="100" autocomplete="off" />
      <FailureNote :message="refusal" final />
      <el-button type="primary" native-type="submit" :disabled="busy || !isSaid">
        {{ words.department.handIt }}
      </el-button>
    </form>
  </el-dialog>
</template>

<style scoped>
form {
  display: grid;
  gap: var(--space-2);
}
label {
  font-size: var(--type-note);
  color: var(--quiet);
}
</style>
