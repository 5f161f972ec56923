<script setup lang="ts">
/** A class being made: its name, its year, a code for each student. */
import { computed, reactive } from 'vue'
import { api, result } from '@/api/client'
import { useAction } from '@/api/useAction'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import { codesOf } from './codes'

const emit = defineEmits<{ made: []; leave: [] }>()

const typed = reactive({ title: '', year: '', codes: '' })
const codes = computed(() => codesOf(typed.codes))
const { busy, refusal, run, again } = useAction()

async function make(): Promise<void> {
  const done = await run(async () => {
    const body = { title: typed.title, year: typed.year, codes: codes.value }
    await result(api.POST('/api/classes', { body }))
  })
  if (done) emit('made')
}
</script>

<template>
  <el-form class="make" label-position="top" @submit.prevent="make">
    <el-form-item :label="words.classes.name">
      <el-input
        v-model="typed.title"
        maxlength="100"
        :placeholder="words.classes.namePlaceholder"
        autofocus
      />
    </el-form-item>
    <el-form-item :label="words.classes.year">
      <el-input v-model="typed.year" maxlength="20" />
    </el-form-item>
    <el-form-item :label="words.classes.codes" class="codes">
      <el-input v-model="typed.codes" type="textarea" :rows="5" maxlength="8000" />
      <span class="u-quiet">
        {{ words.classes.codesSays }} {{ codes.length ? words.classes.size(codes.length) : '' }}
      </span>
    </el-form-item>
    <FailureNote :message="refusal" @again="again" />
    <div class="actions">
      <el-button type="primary" native-type="submit" :disabled="busy || !typed.title.trim()">
        {{ words.classes.make }}
      </el-button>
      <el-button @click="emit('leave')">{{ words.errors.leave }}</el-button>
    </div>
  </el-form>
</template>

<style scoped>
.make {
  display: grid;
  grid-template-columns: minmax(0, 20rem) 8rem;
  gap: 0 var(--space-5);
  padding: var(--space-4) 0;
  border-top: 1px solid var(--rule);
}
.codes,
.actions {
  grid-column: 1 / -1;
  max-width: 30rem;
}
</style>
