<script setup lang="ts">
/** One item of a plan: its problem, how it is done, how long, its first move, the note; what was held of it. */
import { computed } from 'vue'
import { readable } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import HeldItem from './HeldItem.vue'
import type { Item } from './useLesson'

const item = defineModel<Item>({ required: true })
defineProps<{
  number: number
  count: number
  busy: boolean
  /** Whether the lesson was begun. */
  wasHeld: boolean
}>()
defineEmits<{ move: [by: number]; remove: []; more: []; star: [] }>()

const roles = Object.entries(words.lessons.roles)
const about = computed(() =>
  [words.lessons.purposes[item.value.purpose], item.value.error_name].filter(Boolean).join(': '),
)
function skip(): void {
  item.value.role = 'skipped'
}
</script>

<template>
  <li
    :data-role="item.role"
    :data-drop="item.drop || undefined"
    @keydown.alt.up.prevent="$emit('move', -1)"
    @keydown.alt.down.prevent="$emit('move', 1)"
    @keydown.alt.t.prevent="item.id && item.example && !busy && $emit('more')"
  >
    <span class="number">{{ number }}</span>
    <div class="problem">
      <router-link v-if="item.example" :to="{ name: 'bench', params: { id: item.example } }">
        <MathText v-if="item.reads" :latex="item.reads.latex" :spoken="item.reads.spoken" />
        <template v-else>{{ readable(item.given) }}</template>
      </router-link>
      <template v-else>{{ readable(item.given) }}</template>
      <small v-if="item.title" class="u-quiet">{{ item.title }}</small>
      <small v-if="about" class="u-quiet">{{ about }}</small>
      <small v-if="!item.example" class="u-warm">{{ words.lessons.gone }}</small>
      <small v-if="item.like !== null && item.role !== 'skipped'" class="u-quiet">
        {{ words.lessons.like(item.like + 1) }}
        <el-button link type="primary" @click="skip">{{ words.lessons.skipLike }}</el-button>
      </small>
      <small v-if="item.drop" class="u-warm">{{ words.lessons.drop }}</small>
    </div>
    <el-select v-model="item.role" class="role" :aria-label="words.lessons.role(number)">
      <el-option v-for="[key, label] in roles" :key="key" :value="key" :label="label" />
    </el-select>
    <el-input-number
      v-model="item.minutes"
      class="minutes"
      :min="0"
      :max="300"
      :controls="false"
      :placeholder="item.estimated ? words.lessons.estimated(item.estimated) : '–'"
      :aria-label="words.lessons.minutesOf(number)"
    />
    <div class="move">
      <el-checkbox
        v-model="item.star"
        :aria-label="words.lessons.star(number)"
        @change="(on: unknown) => on && $emit('star')"
        >★</el-checkbox
      >
      <el-input
        v-model="item.first_move"
        maxlength="200"
        :placeholder="words.lessons.firstMovePlaceholder"
        :aria-label="words.lessons.firstMove(number)"
      />
    </div>
    <el-input
      v-model="item.note"
      class="note"
      maxlength="600"
      :placeholder="words.lessons.note"
      :aria-label="words.lessons.noteOf(number)"
    />
    <span class="actions">
      <el-button
        link
        type="primary"
        :disabled="busy || !item.id || !item.example"
        @click="$emit('more')"
      >
        {{ words.lessons.more }}
      </el-button>
      <span>
        <el-button
          link
          type="primary"
          :disabled="number === 1"
          :aria-label="words.lessons.up(number)"
          :title="words.lessons.up(number)"
          @click="$emit('move', -1)"
          >↑</el-button
        >
        <el-button
          link
          type="primary"
          :disabled="number === count"
          :aria-label="words.lessons.down(number)"
          :title="words.lessons.down(number)"
          @click="$emit('move', 1)"
          >↓</el-button
        >
        <el-button
          v-if="!item.held"
          link
          type="primary"
          :aria-label="words.lessons.remove(number)"
          :title="words.lessons.remove(number)"
          @click="$emit('remove')"
          >×</el-button
        >
      </span>
    </span>
    <HeldItem v-if="wasHeld" :item="item" class="held" />
  </li>
</template>

<style scoped src="./lesson-item.css"></style>
