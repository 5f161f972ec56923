<script setup lang="ts">
/** Over the bench: the example's name, its task, whether it is saved, and what can be done. */
import { words } from '@/texts/en'
import type { Content } from '@/example/content'
import type { SaveState } from './useSaving'

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

const tasks = (
  ['solve', 'evaluate', 'simplify', 'expand', 'factor', 'domain', 'study'] as const
).map((value) => ({
  value,
  label: words.tasks[value],
}))

function renamed(event: Event): void {
  emit('title', (event.target as HTMLInputElement).value.trim())
}

function tasked(event: Event): void {
  emit('task', (event.target as HTMLSelectElement).value as Content['task'])
}

const listed = tasks.some((task) => task.value === props.task)
  ? tasks
  : [...tasks, { value: props.task, label: words.tasks[props.task] }]
</script>

<template>
  <header class="head">
    <input
      class="title"
      :value="title"
      :aria-label="words.bench.titleLabel"
      :placeholder="words.bench.untitled"
      maxlength="200"
      @change="renamed"
      @keydown.enter="($event.target as HTMLInputElement).blur()"
    />
    <label class="task">
      <span class="unseen">{{ words.bench.taskLabel }}</span>
      <select :value="task" @change="tasked">
        <option v-for="item in listed" :key="item.value" :value="item.value">
          {{ item.label }}
        </option>
      </select>
    </label>
    <span class="state" role="status" :data-state="state">{{ words.save[state] }}</span>
    <span class="gap" />
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
.head {
  display: flex;
  align-items: center;
  gap: 0.5rem;
  padding: 0.55rem 1.5rem;
  border-bottom: 1px solid var(--rule);
}
.title {
  font: inherit;
  font-weight: 700;
  font-size: 1.05rem;
  border: 1px solid transparent;
  border-radius: 4px;
  background: none;
  padding: 0.25rem 0.4rem;
  margin-left: -0.4rem;
  color: inherit;
  flex: 0 1 15rem;
  min-width: 5rem;
  text-overflow: ellipsis;
}
.title:hover {
  border-color: var(--rule);
}
select {
  font: inherit;
  font-size: 0.92rem;
  padding: 0.25rem 0.3rem;
  border: 1px solid var(--edge);
  border-radius: 4px;
  background: var(--sheet);
  color: inherit;
}
.state {
  color: var(--quiet);
  font-size: 0.86rem;
  white-space: nowrap;
}
.state[data-state='offline'],
.state[data-state='conflict'] {
  color: var(--leave);
  font-weight: 700;
}
.el-button + .el-button {
  margin-left: 0;
}
</style>
