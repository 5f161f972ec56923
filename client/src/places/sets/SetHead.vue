<script setup lang="ts">
/** Over a set: its name, whether it is saved, and what can be done with all of it. */
import { computed } from 'vue'
import { words } from '@/texts/en'
import type { OpenSet } from './useSet'

const title = defineModel<string>('title', { required: true })
const props = defineProps<{
  id: string
  set: OpenSet
  /** Whether something is being made. */
  busy: boolean
}>()
defineEmits<{ versions: []; copy: []; add: [] }>()

const { items, form, opened, saving } = props.set
const totals = computed(() =>
  words.sets.total(
    items.value.reduce((sum, item) => sum + (item.marks || 0), 0),
    items.value.reduce((sum, item) => sum + (item.minutes || 0), 0),
  ),
)
</script>

<template>
  <header class="set-head">
    <h1 class="u-unseen">{{ title || words.sets.untitled }}</h1>
    <el-input
      v-model="title"
      class="title"
      maxlength="200"
      :disabled="!opened"
      :aria-label="words.sets.titleLabel"
      :placeholder="words.sets.untitled"
    />
    <span class="state" role="status" :data-state="saving.state.value">
      <template v-if="form">{{ words.sets.form(form) }} · </template>
      {{ words.save[saving.state.value] }} · {{ totals }}
    </span>
    <el-button :disabled="items.length < 2" @click="set.climb">{{ words.sets.climb }}</el-button>
    <el-button
      :disabled="!items.length || busy"
      :title="words.sets.versionsSays(2)"
      @click="$emit('versions')"
    >
      {{ words.sets.versions }}
    </el-button>
    <el-button :disabled="busy" @click="$emit('copy')">{{ words.sets.copy }}</el-button>
    <router-link :to="{ name: 'sheet', params: { id, what: 'handout' } }">
      {{ words.sets.give }}
    </router-link>
    <el-button type="primary" :disabled="!opened" @click="$emit('add')">
      {{ words.sets.add }}
    </el-button>
  </header>
</template>

<style scoped>
.set-head {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  padding: var(--space-2) var(--space-6);
  border-bottom: 1px solid var(--rule);
}
.title {
  flex: 0 1 17rem;
  min-width: 6rem;
  margin-left: calc(-1 * var(--space-2));
  --el-input-border-color: transparent;
  --el-input-bg-color: transparent;
}
.title :deep(input) {
  font-weight: 700;
  font-size: var(--type-lead);
  color: var(--text);
}
.state {
  margin-right: auto;
  color: var(--quiet);
  font-size: var(--type-note);
}
.state[data-state='offline'],
.state[data-state='refused'],
.state[data-state='conflict'] {
  color: var(--leave);
}
a {
  font-size: var(--type-note);
  padding: var(--space-1) var(--space-2);
}
.el-button + .el-button {
  margin-left: 0;
}
</style>
