<script setup lang="ts">
/** Over the bench: the example's name, its task, whether it is saved, and what can be done. */
import { ref, watch } from 'vue'
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
  <header class="bench-head">
    <h1 class="u-unseen">{{ title || words.bench.untitled }}</h1>
    <el-input
      v-model="name"
      class="title"
      :aria-label="words.bench.titleLabel"
      :placeholder="words.bench.untitled"
      maxlength="200"
      @change="(text: string) => emit('title', text.trim())"
      @keydown.enter="($event.target as HTMLInputElement).blur()"
    />
    <el-select
      class="task"
      :model-value="task"
      :aria-label="words.bench.taskLabel"
      @change="(now: Content['task']) => emit('task', now)"
    >
      <el-option v-for="one in TASKS" :key="one" :value="one" :label="words.tasks[one]" />
    </el-select>
    <span class="state" role="status" :data-state="state">{{ words.save[state] }}</span>
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
  </header>
</template>

<style scoped>
.bench-head {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  padding: var(--space-2) var(--space-6);
  border-bottom: 1px solid var(--rule);
}
.title {
  flex: 0 1 15rem;
  min-width: 5rem;
  margin-left: calc(-1 * var(--space-2));
  --el-input-border-color: transparent;
  --el-input-bg-color: transparent;
}
.title :deep(input) {
  font-weight: 700;
  font-size: var(--type-lead);
  color: var(--text);
  text-overflow: ellipsis;
}
.task {
  flex: none;
  width: 7rem;
}
.state {
  color: var(--quiet);
  font-size: var(--type-note);
  white-space: nowrap;
  margin-right: auto;
}
.state[data-state='offline'],
.state[data-state='refused'],
.state[data-state='conflict'] {
  color: var(--leave);
  font-weight: 700;
}
.el-button + .el-button {
  margin-left: 0;
}
</style>
