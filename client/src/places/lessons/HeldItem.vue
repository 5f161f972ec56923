<script setup lang="ts">
/** What was held of an item: how far it was shown, how long, which forks were opened, which hands went up. */
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import type { Item } from './useLesson'

defineProps<{ item: Item }>()
</script>

<template>
  <div class="u-quiet">
    <p v-if="item.held">
      {{ words.lessons.reached(item.shown, item.of) }},
      {{ words.lessons.took(Math.max(1, Math.round(item.seconds / 60)))
      }}<template v-if="item.forks.length"
        >. {{ words.lessons.forks }} {{ item.forks.map(({ name }) => name).join(', ') }}</template
      >
    </p>
    <p v-else>{{ words.lessons.notReached }}</p>
    <p v-for="hands in item.hands" :key="`${hands.kind} ${hands.after}`">
      {{ words.lessons.hands }} {{ words.lessons.handsAt(hands.after) }}:
      <span v-for="answer in hands.counts" :key="answer.label" class="answer">
        <b>{{ answer.label }}</b> <MathText v-if="answer.latex" :latex="answer.latex" />
        {{ answer.count }}
        <template v-if="answer.name && answer.count">({{ answer.name }})</template>
      </span>
    </p>
  </div>
</template>

<style scoped>
p {
  margin: 0;
}
.answer {
  margin-right: var(--space-3);
}
</style>
