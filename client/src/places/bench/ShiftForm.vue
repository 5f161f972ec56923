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

function move(name: keyof Place, value: number | null | undefined): void {
  if (value != null) place.value = { ...here.value, [name]: Math.round(value * 100) / 100 }
}
</script>

<template>
  <div class="shift" role="group" :aria-label="words.study.shift">
    <span class="u-quiet">{{ words.study.shift }}: {{ form }}</span>
    <label v-for="name in ['h', 'k'] as const" :key="name">
      <i>{{ name }}</i> =
      <el-input-number
        :model-value="here[name]"
        :min="-1000"
        :max="1000"
        :step="1"
        :precision="Number.isInteger(here[name]) ? 0 : 2"
        size="small"
        @update:model-value="(value: number | undefined) => move(name, value)"
      />
    </label>
    <p v-if="place && latex">
      <MathText :latex="latex" />
      <el-button link type="primary" @click="$emit('take')">{{ words.study.take }}</el-button>
      <el-button link type="primary" @click="place = null">{{ words.study.putBack }}</el-button>
    </p>
  </div>
</template>

<style scoped>
.shift {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-1) var(--space-4);
  margin-top: var(--space-3);
}
.shift > .u-quiet {
  flex-basis: 100%;
}
label {
  display: flex;
  align-items: center;
  gap: var(--space-1);
}
p {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--space-3);
  margin: 0;
}
</style>
