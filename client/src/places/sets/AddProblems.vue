<script setup lang="ts">
/** Putting problems into a set: of the teacher's examples, typed, or made to order. */
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import OrderProblems from './OrderProblems.vue'
import PickExamples from '@/filing/PickExamples.vue'

const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  /** Examples that stand in the set already. */
  inSet: string[]
  /** Makes problems on the server and takes the changed set; gives how many and why not more. */
  make: (
    body: { text: string } | Schemas['FamilyIn'],
  ) => Promise<{ added: number; refused: string[] }>
}>()
defineEmits<{ add: [example: string] }>()

const WAYS = ['own', 'typed', 'ordered'] as const
const way = ref<(typeof WAYS)[number]>('own')
const typed = ref('')
const says = ref('')
const { busy, refusal, run, again } = useAction()

function opened(): void {
  says.value = refusal.value = ''
}

function take(body: Parameters<typeof props.make>[0]): Promise<boolean> {
  says.value = ''
  return run(async () => {
    const made = await props.make(body)
    says.value = [words.sets.made(made.added), ...made.refused].join(' ')
    if ('text' in body && made.added) typed.value = ''
  })
}
</script>

<template>
  <el-dialog v-model="open" :title="words.sets.addTitle" width="46rem" @open="opened">
    <el-radio-group v-model="way" :aria-label="words.sets.addTitle">
      <el-radio v-for="name in WAYS" :key="name" :value="name">{{
        words.sets.ways[name]
      }}</el-radio>
    </el-radio-group>
    <PickExamples v-if="way === 'own'" :in-set="inSet" @add="(id) => $emit('add', id)" />
    <form v-else-if="way === 'typed'" @submit.prevent="take({ text: typed })">
      <p class="u-quiet">{{ words.sets.typedSays }}</p>
      <el-input
        v-model="typed"
        type="textarea"
        :rows="9"
        maxlength="100000"
        :aria-label="words.sets.typedLabel"
      />
      <el-button native-type="submit" type="primary" :disabled="busy || !typed.trim()">
        {{ words.sets.take }}
      </el-button>
    </form>
    <OrderProblems v-else :busy="busy" @order="take" />
    <p v-if="says" role="status">{{ says }}</p>
    <FailureNote :message="refusal" @again="again" />
  </el-dialog>
</template>

<style scoped>
form .el-button {
  margin-top: var(--space-3);
}
</style>
