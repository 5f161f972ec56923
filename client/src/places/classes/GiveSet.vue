<script setup lang="ts">
/** Before a set is given to a class: which, to whom, when, and how it is marked. */
import { useQuery } from '@tanstack/vue-query'
import { computed, reactive, ref, watch } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import { useGoOn } from '@/shared/composables/useGoOn'
import { isoDay } from '@/shared/logic/dated'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'

const open = defineModel<boolean>({ required: true })
const props = defineProps<{ classes: Schemas['ClassRow'][] }>()

const goOn = useGoOn()
const chosen = reactive({
  school_class: '',
  set: '',
  date: isoDay(),
  school: 'method-accuracy' as Schemas['SittingIn']['school'],
  accuracy_follows: false,
  versions: false,
})
const sought = ref('')
const { data } = useQuery({
  queryKey: ['sets-to-give', sought],
  queryFn: () =>
    result(api.GET('/api/sets', { params: { query: { words: sought.value, order: 'changed' } } })),
  enabled: open,
})
/** Which version the chosen set is; empty where there are no others. */
const form = computed(() => data.value?.results.find(({ id }) => id === chosen.set)?.form ?? '')
watch(open, () => (chosen.school_class ||= props.classes[0]?.id ?? ''))
const { busy, refusal, run, again } = useAction()

function give(): void {
  void run(async () => {
    const body = { ...chosen, title: '', versions: chosen.versions && !!form.value }
    const made = await result(api.POST('/api/sittings', { body }))
    open.value = false
    await goOn({ name: 'sitting', params: { id: made.id } })
  })
}
</script>

<template>
  <el-dialog v-model="open" :title="words.classes.give" width="min(94vw, 34rem)">
    <el-form label-position="top" @submit.prevent="give">
      <el-form-item :label="words.classes.which">
        <el-select v-model="chosen.school_class" :aria-label="words.classes.which">
          <el-option v-for="one in classes" :key="one.id" :value="one.id" :label="one.title" />
        </el-select>
      </el-form-item>
      <el-form-item :label="words.classes.set">
        <el-select
          v-model="chosen.set"
          filterable
          remote
          :remote-method="(text: string) => (sought = text)"
          :aria-label="words.classes.set"
        >
          <el-option
            v-for="one in data?.results ?? []"
            :key="one.id"
            :value="one.id"
            :label="[one.title || words.sets.untitled, one.form].filter(Boolean).join(' · ')"
          />
        </el-select>
      </el-form-item>
      <el-form-item :label="words.classes.date">
        <el-date-picker v-model="chosen.date" value-format="YYYY-MM-DD" :clearable="false" />
      </el-form-item>
      <el-form-item :label="words.classes.school">
        <el-radio-group v-model="chosen.school" :aria-label="words.classes.school">
          <el-radio v-for="(label, key) in words.classes.schools" :key="key" :value="key">
            {{ label }}
          </el-radio>
        </el-radio-group>
      </el-form-item>
      <el-checkbox v-if="chosen.school === 'method-accuracy'" v-model="chosen.accuracy_follows">
        {{ words.classes.follows }}
      </el-checkbox>
      <el-checkbox v-if="form" v-model="chosen.versions">{{ words.classes.versions }}</el-checkbox>
      <FailureNote :message="refusal" @again="again" />
      <p>
        <el-button
          type="primary"
          native-type="submit"
          :disabled="busy || !chosen.set || !chosen.school_class"
        >
          {{ words.classes.giveIt }}
        </el-button>
      </p>
    </el-form>
  </el-dialog>
</template>
