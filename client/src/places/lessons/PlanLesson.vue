<script setup lang="ts">
/** Before a lesson is planned: for which class, from which set, when, how long. */
import { useQuery } from '@tanstack/vue-query'
import { reactive, ref, watch } from 'vue'
import { api, result } from '@/api/client'
import { useAction } from '@/api/useAction'
import { useGoOn } from '@/shared/composables/useGoOn'
import { isoDay } from '@/shared/logic/dated'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

const open = defineModel<boolean>({ required: true })
const goOn = useGoOn()
const chosen = reactive({ school_class: '', set: '', title: '', date: isoDay(), minutes: 45 })
const sought = ref('')
const classes = useQuery({
  queryKey: ['classes', false],
  queryFn: () => result(api.GET('/api/classes')),
  enabled: open,
})
const sets = useQuery({
  queryKey: ['sets-to-give', sought],
  queryFn: () =>
    result(api.GET('/api/sets', { params: { query: { words: sought.value, order: 'changed' } } })),
  enabled: open,
})
watch(
  () => classes.data.value,
  (found) => (chosen.school_class ||= found?.[0]?.id ?? ''),
)
const { busy, refusal, run, again } = useAction()

function plan(): void {
  void run(async () => {
    const body = { ...chosen, set: chosen.set || null }
    const made = await result(api.POST('/api/lessons', { body }))
    open.value = false
    await goOn({ name: 'lesson', params: { id: made.id } })
  })
}
</script>

<template>
  <el-dialog v-model="open" :title="words.lessons.make" width="min(94vw, 34rem)">
    <p v-if="classes.data.value && !classes.data.value.length">
      {{ words.classes.none }}
      <router-link :to="{ name: 'classes' }">{{ words.classes.make }}</router-link>
    </p>
    <el-form v-else label-position="top" @submit.prevent="plan">
      <el-form-item :label="words.classes.which">
        <el-select v-model="chosen.school_class" :aria-label="words.classes.which">
          <el-option
            v-for="one in classes.data.value ?? []"
            :key="one.id"
            :value="one.id"
            :label="one.title"
          />
        </el-select>
      </el-form-item>
      <el-form-item :label="words.lessons.from">
        <el-select
          v-model="chosen.set"
          filterable
          remote
          clearable
          :remote-method="(text: string) => (sought = text)"
          :placeholder="words.lessons.fromNone"
          :aria-label="words.lessons.from"
        >
          <el-option
            v-for="one in sets.data.value?.results ?? []"
            :key="one.id"
            :value="one.id"
            :label="[one.title || words.sets.untitled, one.form].filter(Boolean).join(' · ')"
          />
        </el-select>
      </el-form-item>
      <el-form-item :label="words.lessons.name">
        <el-input v-model="chosen.title" maxlength="200" :aria-label="words.lessons.name" />
      </el-form-item>
      <el-form-item :label="words.classes.date">
        <el-date-picker v-model="chosen.date" value-format="YYYY-MM-DD" :clearable="false" />
      </el-form-item>
      <el-form-item :label="words.lessons.minutes">
        <el-input-number
          v-model="chosen.minutes"
          :min="5"
          :max="600"
          :aria-label="words.lessons.minutes"
        />
      </el-form-item>
      <FailureNote :message="refusal" @again="again" />
      <p>
        <el-button type="primary" native-type="submit" :disabled="busy || !chosen.school_class">
          {{ words.lessons.planIt }}
        </el-button>
      </p>
    </el-form>
  </el-dialog>
</template>
