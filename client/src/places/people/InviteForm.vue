<script setup lang="ts">
/** Inviting somebody: a link with which they make their own account. */
import { ref, useId } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

defineProps<{ departments: Schemas['DepartmentOut'][] }>()
const emit = defineEmits<{ link: [{ link: string; says: string }] }>()

const mail = ref('')
const department = ref(0)
const administrator = ref(false)
const mailId = useId()
const departmentId = useId()
const { busy, refusal, run } = useAction()

async function invite(): Promise<void> {
  await run(async () => {
    const body = {
      mail: mail.value.trim(),
      department: department.value || null,
      administrator: administrator.value,
    }
    const made = await result(api.POST('/api/people/invitations', { body }))
    const says = [words.people.link, made.sent && words.people.sent].filter(Boolean).join(' ')
    emit('link', { link: made.link, says })
    mail.value = ''
  })
}
</script>

<template>
  <section>
    <h2>{{ words.people.invite }}</h2>
    <form @submit.prevent="invite">
      <label :for="mailId">{{ words.people.mail }}</label>
      <el-input :id="mailId" v-model="mail" type="email" maxlength="254" />
      <label :for="departmentId">{{ words.people.department }}</label>
      <el-select :id="departmentId" v-model="department" :empty-values="[null, undefined]">
        <el-option :value="0" :label="words.people.noDepartment" />
        <el-option v-for="one in departments" :key="one.id" :value="one.id" :label="one.title" />
      </el-select>
      <el-checkbox v-model="administrator">{{ words.people.keeps }}</el-checkbox>
      <FailureNote :message="refusal" final />
      <el-button type="primary" native-type="submit" :loading="busy">
        {{ words.people.makeLink }}
      </el-button>
    </form>
  </section>
</template>

<style scoped>
form {
  display: grid;
  gap: var(--space-2);
  justify-items: stretch;
}
label {
  font-size: var(--type-note);
  color: var(--quiet);
}
</style>
