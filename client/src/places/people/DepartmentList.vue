<script setup lang="ts">
/** The departments of the school: made and dissolved. */
import { ElMessageBox } from 'element-plus'
import { ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

type Department = Schemas['DepartmentOut']

defineProps<{ departments: Department[] }>()
const emit = defineEmits<{ changed: [] }>()

const title = ref('')
const { busy, refusal, run } = useAction()

async function make(): Promise<void> {
  await run(async () => {
    await result(api.POST('/api/people/departments', { body: { title: title.value.trim() } }))
    title.value = ''
    emit('changed')
  })
}

async function dissolve(one: Department): Promise<void> {
  const sure = await ElMessageBox.confirm(words.people.dissolveSays(one.title), {
    confirmButtonText: words.people.dissolveYes,
    cancelButtonText: words.units.leave,
  }).catch(() => null)
  if (!sure) return
  await run(async () => {
    const params = { path: { identity: one.id } }
    await result(api.DELETE('/api/people/departments/{identity}', { params }))
    emit('changed')
  })
}
</script>

<template>
  <section>
    <h2>{{ words.people.departments }}</h2>
    <p v-if="!departments.length" class="u-quiet">{{ words.people.departmentsNone }}</p>
    <ul>
      <li v-for="one in departments" :key="one.id">
        {{ one.title }}
        <el-button
          link
          type="primary"
          :aria-label="words.people.dissolve(one.title)"
          :title="words.people.dissolve(one.title)"
          :disabled="busy"
          @click="dissolve(one)"
        >
          ×
        </el-button>
      </li>
    </ul>
    <form @submit.prevent="make">
      <el-input
        v-model="title"
        maxlength="100"
        :placeholder="words.people.newDepartment"
        :aria-label="words.people.newDepartment"
      />
      <el-button native-type="submit" :disabled="busy || !title.trim()">
        {{ words.people.make }}
      </el-button>
    </form>
    <FailureNote :message="refusal" final />
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0 0 var(--space-3);
  padding: 0;
}
form {
  display: flex;
  gap: var(--space-3);
}
</style>
