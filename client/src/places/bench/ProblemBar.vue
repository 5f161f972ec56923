<script setup lang="ts">
/** Over the spine: what is asked, as an instruction stands over a problem; which task is meant, where it could be two. */
import type { Schemas } from '@/api/client'
import type { SelectInstance } from 'element-plus'
import { useTemplateRef } from 'vue'
import type { Content } from '@/example/content'
import { words } from '@/texts/en'
import AmbiguousReading from './AmbiguousReading.vue'
import AskedFor from './AskedFor.vue'

defineProps<{
  content: Content
  /** What the core noticed; null until it has looked. */
  inspected: Schemas['Inspected'] | null
  /** Tasks that the problem may be meant for as well. */
  asks: Content['task'][]
}>()
const emit = defineEmits<{
  edit: []
  change: [asked: Partial<Content>]
}>()

const TASKS = ['solve', 'evaluate', 'simplify', 'expand', 'factor', 'domain', 'study'] as const
const select = useTemplateRef<SelectInstance>('select')
defineExpose({ toTask: () => select.value?.focus() })
const meant = (task: Content['task']) => emit('change', { task })
</script>

<template>
  <section class="bar no-print">
    <el-select
      ref="select"
      class="task"
      :model-value="content.task"
      :aria-label="words.bench.taskLabel"
      @change="meant"
    >
      <el-option v-for="one in TASKS" :key="one" :value="one" :label="words.tasks[one]" />
    </el-select>
    <AskedFor
      :task="content.task"
      :unknown="content.variable || inspected?.unknown || ''"
      :numbers="content.numbers"
      :form="content.form"
      :house="content.house"
      @change="(asked) => emit('change', asked)"
    />
    <el-tooltip content="Alt+G" :show-after="400">
      <el-button link type="primary" @click="emit('edit')">{{ words.bench.editProblem }}</el-button>
    </el-tooltip>
    <span v-if="asks.length" class="asks" role="status">
      {{ words.bench.orMeant }}
      <el-button v-for="task in asks" :key="task" size="small" @click="meant(task)">
        {{ words.tasks[task] }}
      </el-button>
    </span>
    <AmbiguousReading v-for="item in inspected?.ambiguities" :key="item.says" :item="item" />
  </section>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2) var(--space-5);
  padding-left: 2.2rem;
}
.task {
  flex: none;
  width: 7.5rem;
}
.asks {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  font-size: var(--type-note);
}
.asks .el-button + .el-button {
  margin-left: 0;
}
</style>
