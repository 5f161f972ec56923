<script setup lang="ts">
/** How an item is read, corrected: its task, its problem, what stands under it; parted or joined. */
import { ref, useId } from 'vue'
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'

type Item = Schemas['KeyItemIn']

const props = defineProps<{
  item: Schemas['ProofItem']
  /** Whether there is an item above that this one may be joined to. */
  joinable: boolean
  busy: boolean
}>()
const emit = defineEmits<{
  /** One item, or several where empty lines part it. */
  keep: [items: Item[]]
  join: []
  leave: []
}>()

const task = ref(props.item.task as Item['task'])
const number = ref(props.item.number)
const text = ref(
  [props.item.given, ...(props.item.lines ?? []).map((line) => line.text)].join('\n'),
)
const taskId = useId()
const textId = useId()
const numberId = useId()
const tasks = Object.entries(words.tasks) as [Item['task'], string][]

function keep(): void {
  const parts = text.value
    .split(/\n\s*\n/)
    .map((part) =>
      part
        .split('\n')
        .map((line) => line.trim())
        .filter(Boolean),
    )
    .filter((lines) => lines.length)
  const items = parts.map((lines, index): Item => ({
    number: index ? '' : number.value,
    at: props.item.at,
    task: task.value,
    given: lines[0] ?? '',
    lines: lines.slice(1),
    options: index
      ? []
      : (props.item.options ?? []).map((option): [string, string] => [option.letter, option.text]),
    chosen: '',
    notes: index ? [] : (props.item.notes ?? []),
    variable: null,
  }))
  if (items.length) emit('keep', items)
}
</script>

<template>
  <form class="reading" @submit.prevent="keep" @keydown.escape.stop="emit('leave')">
    <div class="row">
      <label :for="taskId">{{ words.proofs.asked }}</label>
      <el-select :id="taskId" v-model="task" class="task">
        <el-option v-for="[key, name] in tasks" :key="key" :value="key" :label="name" />
      </el-select>
      <label :for="numberId">{{ words.proofs.number }}</label>
      <el-input :id="numberId" v-model="number" class="number" maxlength="40" />
    </div>
    <label :for="textId">{{ words.proofs.readAs }}</label>
    <el-input
      :id="textId"
      v-model="text"
      type="textarea"
      :rows="5"
      spellcheck="false"
      @keydown.ctrl.enter.prevent="keep"
    />
    <p class="u-quiet">{{ words.proofs.partHint }}</p>
    <p class="actions">
      <el-button native-type="submit" type="primary" title="Ctrl+Enter" :disabled="busy">
        {{ words.proofs.judgeAgain }}
      </el-button>
      <el-button v-if="joinable" :disabled="busy" @click="emit('join')">
        {{ words.proofs.join }}
      </el-button>
      <el-button @click="emit('leave')">{{ words.proofs.leave }}</el-button>
    </p>
  </form>
</template>

<style scoped>
.reading {
  grid-column: 2 / -1;
  display: grid;
  gap: var(--space-2);
  padding: var(--space-3) var(--space-4);
  background: var(--lit);
  border-radius: var(--round);
}
.row {
  display: flex;
  gap: var(--space-4);
  align-items: center;
}
.task {
  width: 9rem;
}
.number {
  width: 5rem;
}
p {
  margin: 0;
}
</style>
