<script setup lang="ts">
/** Over the board of a lesson: the way back, which item, how far, the quiet clock, where it stops. */
import { words } from '@/texts/en'

defineProps<{
  title: string
  /** Which item of how many. */
  place: string
  /** How far the item is shown. */
  shown: string
  minutes: number
  /** Whether something is not stored yet. */
  unsaved: boolean
  helps: boolean
}>()
defineEmits<{ leave: []; helps: []; stop: [] }>()

const keys = [...words.hold.keyList, ...words.show.keyList.slice(0, -1)]
</script>

<template>
  <header class="bar">
    <el-button link type="primary" @click="$emit('leave')">{{ words.hold.leave }}</el-button>
    <h1>{{ title }}</h1>
    <span class="which" role="status">{{ place }} · {{ shown }}</span>
    <span v-if="unsaved" class="unsaved">{{ words.hold.unsaved }}</span>
    <span class="clock" :aria-label="words.hold.clock" :title="words.hold.clock">{{
      words.hold.minutes(minutes)
    }}</span>
    <el-button link type="primary" :aria-expanded="helps" @click="$emit('helps')">
      {{ words.show.keys }}
    </el-button>
    <el-button link type="primary" @click="$emit('stop')">{{ words.hold.stop }}</el-button>
  </header>
  <ul v-if="helps" class="helps">
    <li v-for="[key, does] in keys" :key="key">
      <kbd>{{ key }}</kbd> {{ does }}
    </li>
  </ul>
</template>

<style scoped src="./show-bar.css"></style>
