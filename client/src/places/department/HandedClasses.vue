<script setup lang="ts">
/** Classes that colleagues offer, and those that one offers: taken, left, taken back. */
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

type Handed = Schemas['HandedOut']

defineProps<{ handed: Handed[] }>()
const emit = defineEmits<{ changed: [] }>()

const cache = useQueryClient()
const says = ref('')
const { busy, refusal, run } = useAction()

function take(one: Handed): Promise<boolean> {
  return run(async () => {
    const params = { path: { identity: one.id } }
    await result(api.POST('/api/handed/{identity}/take', { params }))
    says.value = words.department.taken
    await cache.invalidateQueries()
  })
}

function leave(one: Handed): Promise<boolean> {
  return run(async () => {
    const params = { path: { identity: one.id } }
    await result(api.DELETE('/api/handed/{identity}', { params }))
    emit('changed')
  })
}
</script>

<template>
  <p v-if="says" role="status">{{ says }}</p>
  <FailureNote :message="refusal" final />
  <section v-if="handed.length" class="handed">
    <h2>{{ words.department.offered }}</h2>
    <p v-for="one in handed" :key="one.id">
      <template v-if="one.own">
        {{ words.department.offeredTo(one.title, one.to) }}
        <el-button :disabled="busy" @click="leave(one)">{{ words.department.takeBack }}</el-button>
      </template>
      <template v-else>
        {{ words.department.offers(one.owner, one.title) }}
        <el-button type="primary" :disabled="busy" @click="take(one)">
          {{ words.department.take }}
        </el-button>
        <el-button :disabled="busy" @click="leave(one)">{{ words.department.leave }}</el-button>
      </template>
    </p>
  </section>
</template>

<style scoped>
.handed {
  border-left: 3px solid var(--ink);
  padding-left: var(--space-4);
  margin-bottom: var(--space-5);
}
</style>
