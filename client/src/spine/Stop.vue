<script setup lang="ts">
/** A stop: the relation sign enclosed in the mark that says what is known of the line. */
import { words } from '@/texts/en'
import type { Mark } from './types'

defineProps<{
  /** The relation sign: =, ≠, ∴ … */
  sign: string
  mark: Mark
  /** Whether the line is no relation but states a feature: the stop is a tag then, and has no sign. */
  tag?: boolean
  /** Whether its meaning stands in words beside it: it is not read out twice. */
  mute?: boolean
}>()
</script>

<template>
  <svg
    class="stop"
    :data-mark="mark"
    viewBox="0 0 36 36"
    :role="mute ? undefined : 'img'"
    :aria-hidden="mute || undefined"
    :aria-label="mute ? undefined : words.stops[mark]"
  >
    <g class="shape">
      <path v-if="tag && mark === 'ok'" d="M7 10.5h14l8 7.5-8 7.5H7Z" class="full" />
      <circle v-else-if="mark === 'ok'" cx="18" cy="18" r="11.5" class="full" />
      <template v-else-if="mark === 'condition'">
        <circle cx="18" cy="18" r="9.5" class="full" />
        <circle cx="18" cy="18" r="13.5" class="ring" />
      </template>
      <path v-else-if="mark === 'may-add'" d="M18 2.5 33.5 30h-31Z" class="open" />
      <path v-else-if="mark === 'loses'" d="M4 18a14 14 0 0 1 28 0Z M4 18v8M32 18v8" class="open" />
      <path v-else-if="mark === 'wrong'" d="M18 1.5 34.5 18 18 34.5 1.5 18Z" class="open" />
      <path
        v-else-if="mark === 'unfinished'"
        d="M10 28.2a12.5 12.5 0 1 1 16 0"
        class="open thick"
      />
      <rect
        v-else-if="mark === 'unproved'"
        x="6"
        y="6"
        width="24"
        height="24"
        rx="5"
        class="open dashed"
      />
      <rect v-else-if="mark === 'unreadable'" x="6" y="9" width="24" height="18" class="open" />
      <template v-else-if="mark === 'doubt'">
        <circle cx="18" cy="18" r="12" class="open" />
        <path d="M18 6a12 12 0 0 0 0 24Z" class="full" />
        <rect x="11" y="13" width="14" height="10" rx="2" class="patch" />
      </template>
      <circle v-else-if="mark === 'parallel'" cx="18" cy="18" r="11.5" class="light" />
      <rect v-else-if="mark === 'side'" x="9" y="9" width="18" height="18" rx="3" class="open" />
      <template v-else-if="mark === 'back'">
        <circle cx="18" cy="18" r="11.5" class="full" />
        <path d="M3 5a16 16 0 0 0 6 5" class="open thick" />
      </template>
      <rect
        v-else-if="mark === 'check' || mark === 'fails'"
        x="7"
        y="11"
        width="22"
        height="14"
        rx="7"
        class="open"
      />
      <circle v-else-if="mark === 'waiting'" cx="18" cy="18" r="11.5" class="faint" />
      <circle v-else cx="18" cy="18" r="11.5" class="plain" />
    </g>
    <text
      v-if="mark !== 'unreadable'"
      x="18"
      :y="mark === 'may-add' ? 27 : mark === 'loses' ? 15.5 : 23.5"
      class="sign"
      text-anchor="middle"
    >
      {{ sign }}
    </text>
    <text v-else x="18" y="22" class="sign" text-anchor="middle">…</text>
  </svg>
</template>

<style scoped src="./stop.css"></style>
