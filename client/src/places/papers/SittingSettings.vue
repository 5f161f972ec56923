<script setup lang="ts">
/** How a sitting is called and marked; everything is marked anew when it changes. */
import { reactive, watch } from 'vue'
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'
import type { Grid } from './rows'

const props = defineProps<{ grid: Grid; busy: boolean }>()
const emit = defineEmits<{ change: [body: Schemas['SittingChange']] }>()

const typed = reactive(of(props.grid))
watch(
  () => props.grid.id,
  () => Object.assign(typed, of(props.grid)),
)

function of({ title, date, school, accuracy_follows }: Grid): Schemas['SittingChange'] {
  return { title, date, school, accuracy_follows }
}
</script>

<template>
  <section>
    <h2>{{ words.papers.settings }}</h2>
    <el-form label-position="top" @submit.prevent="emit('change', { ...typed })">
      <el-form-item :label="words.classes.sitting">
        <el-input v-model="typed.title" maxlength="200" />
      </el-form-item>
      <el-form-item :label="words.classes.school">
        <el-radio-group v-model="typed.school" :aria-label="words.classes.school">
          <el-radio v-for="(label, key) in words.classes.schools" :key="key" :value="key">
            {{ label }}
          </el-radio>
        </el-radio-group>
      </el-form-item>
      <el-checkbox v-if="typed.school === 'method-accuracy'" v-model="typed.accuracy_follows">
        {{ words.classes.follows }}
      </el-checkbox>
      <p>
        <el-button native-type="submit" :disabled="busy || !typed.title.trim()">
          {{ words.papers.save }}
        </el-button>
      </p>
    </el-form>
  </section>
</template>
