<script setup lang="ts">
/** When a lesson is, how long, for which unit, the teacher's note; whether all of it fits. */
import { computed } from 'vue'
import { useUnits } from '@/filing/useUnits'
import { words } from '@/texts/en'
import type { Plan } from './useLesson'

const plan = defineModel<Plan>({ required: true })
const props = defineProps<{
  /** Minutes that are planned. */
  takes: number
  /** Seconds that a line takes this teacher. */
  aLine: number
}>()
const { units } = useUnits()
const over = computed(() => Math.max(0, props.takes - plan.value.minutes))
</script>

<template>
  <div class="settings">
    <label>
      {{ words.classes.date }}
      <el-date-picker
        v-model="plan.date"
        value-format="YYYY-MM-DD"
        :clearable="false"
        :aria-label="words.classes.date"
      />
    </label>
    <label>
      {{ words.lessons.minutes }}
      <el-input-number
        v-model="plan.minutes"
        :min="5"
        :max="600"
        :aria-label="words.lessons.minutes"
      />
    </label>
    <label v-if="units.length">
      {{ words.lessons.unit }}
      <el-select v-model="plan.unit" clearable :aria-label="words.lessons.unit">
        <el-option v-for="unit in units" :key="unit.id" :value="unit.id" :label="unit.title" />
      </el-select>
    </label>
    <label class="note">
      {{ words.lessons.note }}
      <el-input
        v-model="plan.note"
        type="textarea"
        autosize
        maxlength="4000"
        :aria-label="words.lessons.note"
      />
    </label>
    <p class="takes" role="status">
      <b>{{ words.lessons.takes(takes, plan.minutes) }}</b>
      <span v-if="over" class="u-warm">{{ words.lessons.over(over) }}</span>
      <span class="u-quiet">{{ words.lessons.aLine(aLine) }}</span>
    </p>
  </div>
</template>

<style scoped>
.settings {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3) var(--space-5);
  align-items: end;
  margin-bottom: var(--space-3);
}
label {
  display: grid;
  gap: var(--space-1);
  font-size: var(--type-note);
}
.note {
  flex: 1 1 16rem;
}
.takes {
  flex-basis: 100%;
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-3);
  margin: 0;
}
.el-select {
  width: 14rem;
}
</style>
