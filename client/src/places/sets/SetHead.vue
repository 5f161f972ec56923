<script setup lang="ts">
/** Over a set: its name, whether it is saved, and what can be done with all of it. */
import { computed } from 'vue'
import WorkHead from '@/shared/page/WorkHead.vue'
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

const { items, form, opened, saving, waiting } = props.set
/** Until all difficulties are here there is no order to sort into. */
const isLearning = computed(() =>
  items.value.some(({ example }) => ['asked', 'again'].includes(waiting.value[example.id] ?? '')),
)
const totals = computed(() =>
  words.sets.total(
    items.value.reduce((sum, item) => sum + (item.marks || 0), 0),
    items.value.reduce((sum, item) => sum + (item.minutes || 0), 0),
  ),
)
</script>

<template>
  <WorkHead
    v-model="title"
    :label="words.sets.titleLabel"
    :untitled="words.sets.untitled"
    :disabled="!opened"
    :state="saving.state.value"
  >
    <template v-if="form" #before>{{ words.sets.form(form) }} · </template>
    <template #after> · {{ totals }}</template>
    <el-button :disabled="items.length < 2 || isLearning" @click="set.climb">{{
      words.sets.climb
    }}</el-button>
    <el-button :disabled="!items.length || busy" @click="$emit('versions')">
      {{ words.sets.versions }}
    </el-button>
    <el-button :disabled="busy" @click="$emit('copy')">{{ words.sets.copy }}</el-button>
    <el-button :disabled="!opened" @click="$emit('add')">{{ words.sets.add }}</el-button>
    <router-link
      v-slot="{ href, navigate }"
      custom
      :to="{ name: 'sheet', params: { id, what: 'handout' } }"
    >
      <el-button tag="a" type="primary" :href="href" @click="navigate">
        {{ words.sets.give }}
      </el-button>
    </router-link>
  </WorkHead>
</template>

<style scoped>
.el-button + .el-button {
  margin-left: 0;
}
</style>
