<script setup lang="ts">
/** h and k of the shift form, moved by keyboard; the plot moves with them. */
import { computed } from 'vue'
import type { Schemas } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import { valueOf, type Place } from './shift'

const place = defineModel<Place | null>({ required: true })
const props = defineProps<{
  shift: Schemas['Shift']
  unknown: string
  /** The moved function; empty where it has not been moved. */
  latex: string
}>()
defineEmits<{ take: [] }>()

const here = computed<Place>(
  () => place.value ?? { h: valueOf(props.shift.h), k: valueOf(props.shift.k) },
)
const form = computed(() => `a/(${props.unknown} − h) + k,  a = ${readable(props.shift.a)}`)

function move(name: keyof Place, event: Event): void {
  const value = Number((event.target as HTMLInputElement).value)
  if (Number.isFinite(value) && Math.abs(value) <= 1000) {
    place.value = { ...here.value, [name]: Math.round(value * 100) / 100 }
  }
}
</script>

<template>
  <div class="shift" role="group" :aria-label="words.study.shift">
    <span class="quiet">{{ words.study.shift }}: {{ form }}</span>
    <label v-for="name in ['h', 'k'] as const" :key="name">
      <i>{{ name }}</i> =
      <input class="typed" type="number" step="1" :value="here[name]" @input="move(name, $event)" />
    </label>
    <p v-if="place && latex">
      <MathText :latex="latex" />
      <button type="button" class="quiet-button" @click="$emit('take')">
        {{ words.study.take }}
      </button>
      <button type="button" class="quiet-button" @click="place = null">
        {{ words.study.putBack }}
      </button>
    </p>
  </div>
</template>

<style scoped>
.shift {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.3rem 0.9rem;
  margin-top: 0.6rem;
}
.shift > .quiet {
  flex-basis: 100%;
}
label {
  display: flex;
  align-items: center;
  gap: 0.3rem;
}
input {
  width: 5.5rem;
}
p {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.6rem;
  margin: 0;
}
</style>
