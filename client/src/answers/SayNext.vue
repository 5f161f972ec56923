<script setup lang="ts">
/** What to say to the two largest groups that left, and which line tells two errors apart. */
import { computed } from 'vue'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import { largest, type Group } from './leavings'

const props = defineProps<{ groups: readonly Group[] }>()

const told = computed(() => largest(props.groups))
const allRight = computed(() => props.groups.every((group) => group.where === 'right'))
</script>

<template>
  <section v-if="told.length || allRight" class="next">
    <h2>{{ words.answers.next }}</h2>
    <p v-if="allRight">{{ words.answers.nothing }}</p>
    <div v-for="group in told" :key="group.value" class="one">
      <MathText :latex="group.latex" :spoken="group.spoken" />
      <div>
        <p v-for="error in group.errors.slice(0, 2)" :key="error.id">
          <b>{{ error.name }}.</b> {{ error.says }}
        </p>
        <p v-if="group.tells_apart_latex">
          {{ words.answers.askFor }} <MathText :latex="group.tells_apart_latex" />
        </p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.one {
  display: grid;
  grid-template-columns: 9rem minmax(0, 1fr);
  gap: var(--space-3);
  padding: var(--space-2) 0 var(--space-2) var(--space-3);
  border-left: 3px solid var(--leave);
  break-inside: avoid;
}
.one p {
  margin: 0 0 var(--space-1);
}
</style>
