<script setup lang="ts">
/** Over the bench: the example's name, its task, whether it is saved, and what can be done. */
import { ref, watch } from 'vue'
import WorkHead from '@/shared/page/WorkHead.vue'
import { words } from '@/texts/en'
import type { Content } from '@/example/content'
import type { SaveState } from '@/api/useAutosave'

const props = defineProps<{
  /** Name of the example. */
  title: string
  task: Content['task']
  state: SaveState
  canUndo: boolean
  canRedo: boolean
  /** Whether there is a problem to work. */
  canWork: boolean
  /** Whether forks are shown. */
  forking: boolean
}>()
const emit = defineEmits<{
  title: [text: string]
  task: [task: Content['task']]
  work: []
  forks: []
  undo: []
  redo: []
  fresh: []
  print: []
  present: []
}>()

const TASKS = ['solve', 'evaluate', 'simplify', 'expand', 'factor', 'domain', 'study'] as const
/** The name while it is typed. */
const name = ref('')
watch(
  () => props.title,
  (title) => (name.value = title),
  { immediate: true },
)
</script>

<template>
  <WorkHead
    v-model="name"
    :label="words.bench.titleLabel"
    :untitled="words.bench.untitled"
    :state="state"
    @named="(text) => emit('title', text)"
  >
    <template #beside>
      <el-select
        class="task"
        :model-value="task"
        :aria-label="words.bench.taskLabel"
        @change="(now: Content['task']) => emit('task', now)"
      >
        <el-option v-for="one in TASKS" :key="one" :value="one" :label="words.tasks[one]" />
      </el-select>
    </template>
    <el-tooltip :content="`${words.bench.undo} · Ctrl+Z`" :show-after="400">
      <el-button :disabled="!canUndo" @click="emit('undo')">{{ words.bench.undo }}</el-button>
    </el-tooltip>
    <el-tooltip :content="`${words.bench.redo} · Ctrl+Y`" :show-after="400">
      <el-button :disabled="!canRedo" @click="emit('redo')">{{ words.bench.redo }}</el-button>
    </el-tooltip>
    <el-tooltip :content="`${words.forks.show} · Alt+F`" :show-after="400">
      <el-button :disabled="!canWork" :aria-pressed="forking" @click="emit('forks')">
        {{ forking ? words.forks.hide : words.forks.show }}
      </el-button>
    </el-tooltip>
    <el-tooltip :content="`${words.show.open} · Alt+S`" :show-after="400">
      <el-button :disabled="!canWork" @click="emit('present')">{{ words.bench.show }}</el-button>
    </el-tooltip>
    <el-tooltip :content="`${words.bench.print} · Alt+P`" :show-after="400">
      <el-button :disabled="!canWork" @click="emit('print')">{{ words.bench.print }}</el-button>
    </el-tooltip>
    <el-tooltip :content="`${words.bench.fresh} · Alt+N`" :show-after="400">
      <el-button @click="emit('fresh')">{{ words.bench.fresh }}</el-button>
    </el-tooltip>
    <el-tooltip :content="`${words.bench.workIt} · Alt+W`" :show-after="400">
      <el-button type="primary" :disabled="!canWork" @click="emit('work')">
        {{ words.bench.workIt }}
      </el-button>
    </el-tooltip>
  </WorkHead>
</template>

<style scoped>
.task {
  flex: none;
  width: 7rem;
}
.el-button + .el-button {
  margin-left: 0;
}
</style>
