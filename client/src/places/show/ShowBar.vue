<script setup lang="ts">
/** Over the board: the way back, how far one is, the keys. */
import { words } from '@/texts/en'

defineProps<{
  id: string
  title: string
  /** Lines that are shown. */
  shown: number
  count: number
  /** Whether the keys are listed. */
  helps: boolean
}>()
defineEmits<{ leave: []; helps: [] }>()
</script>

<template>
  <header class="bar">
    <el-button link type="primary" @click="$emit('leave')">{{ words.show.leave }}</el-button>
    <h1>{{ title }}</h1>
    <span class="count" role="status">{{ words.show.count(shown, count) }}</span>
    <el-button link type="primary" :aria-expanded="helps" @click="$emit('helps')">
      {{ words.show.keys }}
    </el-button>
    <router-link :to="{ name: 'track', params: { id } }">{{ words.show.track }}</router-link>
  </header>
  <ul v-if="helps" class="helps">
    <li v-for="[key, does] in words.show.keyList" :key="key">
      <kbd>{{ key }}</kbd> {{ does }}
    </li>
  </ul>
</template>

<style scoped src="./show-bar.css"></style>
