<script setup lang="ts">
/** Over the bench: the example's name, whether it is saved, and the few things that are done with it. */
import { ref, watch } from 'vue'
import WorkHead from '@/shared/page/WorkHead.vue'
import { words } from '@/texts/en'
import type { SaveState } from '@/api/useAutosave'

/** Where an example can go: the menu's commands. */
export type Way = 'fresh' | 'key' | 'track' | 'exercise' | 'answers' | 'versions'

const props = defineProps<{
  /** Name of the example. */
  title: string
  state: SaveState
  canUndo: boolean
  canRedo: boolean
  /** Whether there is a problem to work. */
  canWork: boolean
  /** Whether common mistakes are shown. */
  forking: boolean
}>()
const emit = defineEmits<{
  title: [text: string]
  work: []
  forks: []
  undo: []
  redo: []
  present: []
  go: [way: Way]
}>()

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
    <el-tooltip :content="`${words.bench.undo} · Ctrl+Z`" :show-after="400">
      <el-button link :disabled="!canUndo" @click="emit('undo')">{{ words.bench.undo }}</el-button>
    </el-tooltip>
    <el-tooltip :content="`${words.bench.redo} · Ctrl+Y`" :show-after="400">
      <el-button link :disabled="!canRedo" @click="emit('redo')">{{ words.bench.redo }}</el-button>
    </el-tooltip>
    <el-dropdown trigger="click" @command="(way: Way) => emit('go', way)">
      <el-button link>{{ words.bench.more }}</el-button>
      <template #dropdown>
        <el-dropdown-menu>
          <el-dropdown-item command="fresh">{{ words.bench.fresh }} · Alt+N</el-dropdown-item>
          <el-dropdown-item command="key" divided :disabled="!canWork">
            {{ words.bench.print }} · Alt+P
          </el-dropdown-item>
          <el-dropdown-item command="track" :disabled="!canWork">
            {{ words.show.track }}
          </el-dropdown-item>
          <el-dropdown-item command="exercise" :disabled="!canWork">
            {{ words.exercise.open }}
          </el-dropdown-item>
          <el-dropdown-item command="answers" divided :disabled="!canWork">
            {{ words.answers.open }}
          </el-dropdown-item>
          <el-dropdown-item command="versions" divided>
            {{ words.versions.open }}
          </el-dropdown-item>
        </el-dropdown-menu>
      </template>
    </el-dropdown>
    <el-tooltip :content="`${words.forks.showLong} · Alt+F`" :show-after="400">
      <el-button :disabled="!canWork" :aria-pressed="forking" @click="emit('forks')">
        {{ forking ? words.forks.hide : words.forks.show }}
      </el-button>
    </el-tooltip>
    <el-tooltip :content="`${words.show.open} · Alt+S`" :show-after="400">
      <el-button :disabled="!canWork" @click="emit('present')">{{ words.bench.show }}</el-button>
    </el-tooltip>
    <el-tooltip :content="`${words.bench.workIt} · Alt+W`" :show-after="400">
      <el-button type="primary" :disabled="!canWork" @click="emit('work')">
        {{ words.bench.workIt }}
      </el-button>
    </el-tooltip>
  </WorkHead>
</template>

<style scoped>
.el-button + .el-button {
  margin-left: 0;
}
</style>
