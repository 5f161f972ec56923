<script setup lang="ts">
/** What was taught again, and when its reviews come; after how many days, and on which days there are none. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, reactive, watch } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import { useAction } from '@/api/useAction'
import { written } from '@/shared/logic/dated'
import FailureNote from '@/shared/page/FailureNote.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The class's id. */
  id: string
}>()

const cache = useQueryClient()
const taught = useQuery({
  queryKey: computed(() => ['taught', props.id]),
  queryFn: () =>
    result(api.GET('/api/log/{identity}/taught', { params: { path: { identity: props.id } } })),
})
const at = () => ({ params: { path: { school_class: props.id } } })
const plan = useQuery({
  queryKey: computed(() => ['reviews', props.id]),
  queryFn: () => result(api.GET('/api/lessons/reviews/{school_class}', at())),
})
const typed = reactive({ days: '', free: [] as [string, string][] })
watch(
  () => plan.data.value,
  (found) => {
    if (!found) return
    typed.days = found.days.join(', ')
    typed.free = found.free.map(([first, last]) => [first, last] as [string, string])
  },
  { immediate: true },
)
const days = computed(() =>
  typed.days
    .split(/[\s,;]+/)
    .filter(Boolean)
    .map(Number),
)
const isReadable = computed(
  () => days.value.length > 0 && days.value.every((day) => Number.isInteger(day) && day > 0),
)
const { busy, refusal, run, again } = useAction()

function save(): void {
  void run(async () => {
    const body = { days: days.value, free: typed.free.filter(([one, other]) => one && other) }
    await result(api.PUT('/api/lessons/reviews/{school_class}', { ...at(), body }))
    await cache.invalidateQueries({ queryKey: ['reviews'] })
    await cache.invalidateQueries({ queryKey: ['taught'] })
  })
}
</script>

<template>
  <section>
    <h2>{{ words.log.taught }}</h2>
    <WaitFor
      :pending="taught.isPending.value"
      :failure="saidOf(taught.error.value ?? plan.error.value)"
      @again="taught.refetch"
    >
      <p v-if="!taught.data.value?.length" class="u-quiet">{{ words.log.taughtNone }}</p>
      <ul>
        <li v-for="one in taught.data.value" :key="one.error">
          <b>{{ one.name }}</b>:
          <router-link :to="{ name: 'lesson', params: { id: one.lesson } }">{{
            written(one.taught)
          }}</router-link>, {{ words.log.reviewsHeld(one.reviews.length) }},
          {{ one.due ? words.log.dueOn(written(one.due)) : words.log.allReviewed }}
        </li>
      </ul>
      <form @submit.prevent="save">
        <label :title="words.lessons.reviewsSays">
          {{ words.lessons.reviews }}
          <el-input v-model="typed.days" maxlength="60" :aria-label="words.lessons.reviews" />
        </label>
        <fieldset>
          <legend>{{ words.lessons.free }}</legend>
          <p v-for="(_, index) in typed.free" :key="index">
            <el-date-picker
              v-model="typed.free[index]![0]"
              value-format="YYYY-MM-DD"
              :aria-label="words.lessons.freeFrom"
            />
            –
            <el-date-picker
              v-model="typed.free[index]![1]"
              value-format="YYYY-MM-DD"
              :aria-label="words.lessons.freeTo"
            />
            <el-button
              link
              type="primary"
              :aria-label="words.lessons.freeRemove"
              @click="typed.free.splice(index, 1)"
              >×</el-button
            >
          </p>
          <el-button @click="typed.free.push(['', ''])">{{ words.lessons.freeAdd }}</el-button>
        </fieldset>
        <el-button native-type="submit" :disabled="busy || !isReadable">{{
          words.lessons.save
        }}</el-button>
      </form>
      <FailureNote :message="refusal" @again="again" />
    </WaitFor>
  </section>
</template>

<style scoped>
form {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-4);
  align-items: end;
}
label {
  display: grid;
  font-size: var(--type-note);
}
label .el-input {
  width: 14rem;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  font-size: var(--type-note);
}
fieldset p {
  margin: 0 0 var(--space-2);
}
</style>
