<script setup lang="ts">
/** Over what is worked on: its name, written where it stands; whether it is stored; what can be done with it. */
import { words } from '@/texts/en'

const name = defineModel<string>({ required: true })
defineProps<{
  /** What the name's field is called. */
  label: string
  /** What it is called without a name. */
  untitled: string
  state: 'saved' | 'saving' | 'waiting' | 'offline' | 'refused' | 'conflict'
  disabled?: boolean
  /** Whether there is room for a long name. */
  wide?: boolean
}>()
defineEmits<{ named: [name: string] }>()
</script>

<template>
  <section class="work-head no-print" :aria-label="words.save.head">
    <h1 class="u-unseen">{{ name || untitled }}</h1>
    <el-input
      v-model="name"
      class="name"
      :class="{ wide }"
      :aria-label="label"
      :placeholder="untitled"
      :disabled="disabled"
      maxlength="200"
      @change="(text: string) => $emit('named', text.trim())"
      @keydown.enter="($event.target as HTMLInputElement).blur()"
    />
    <slot name="beside" />
    <span class="state" role="status" :data-state="state">
      <slot name="before" />{{ words.save[state] }}<slot name="after" />
    </span>
    <slot />
  </section>
</template>

<style scoped>
.work-head {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-2);
  padding: var(--space-2) var(--space-6);
  border-bottom: 1px solid var(--rule);
}
.name {
  flex: 0 1 16rem;
  min-width: 5rem;
  margin-left: calc(-1 * var(--space-2));
  --el-input-border-color: transparent;
  --el-input-bg-color: transparent;
}
.name.wide {
  flex-basis: 24rem;
}
.name :deep(input) {
  font-weight: 700;
  font-size: var(--type-lead);
  color: var(--text);
  text-overflow: ellipsis;
}
.state {
  margin-right: auto;
  color: var(--quiet);
  font-size: var(--type-note);
  white-space: nowrap;
}
@media (max-width: 900px) {
  .work-head {
    padding: var(--space-2) var(--space-4);
  }
}
.state[data-state='offline'],
.state[data-state='refused'],
.state[data-state='conflict'] {
  color: var(--leave);
  font-weight: 700;
}
</style>
