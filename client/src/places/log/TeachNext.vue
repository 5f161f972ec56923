<script setup lang="ts">
/** What to teach again next: at most three errors, each with its reasons, and into what it goes. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import { useAction } from '@/api/useAction'
import { useGoOn } from '@/shared/composables/useGoOn'
import { isoDay } from '@/shared/logic/dated'
import FailureNote from '@/shared/page/FailureNote.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import ErrorToTeach from './ErrorToTeach.vue'

const props = defineProps<{
  /** The class's id. */
  id: string
}>()

const on = isoDay()
const goOn = useGoOn()
const { data, error, isPending, refetch } = useQuery({
  queryKey: computed(() => ['teach-next', props.id]),
  queryFn: () => {
    const params = { path: { identity: props.id }, query: { on } }
    return result(api.GET('/api/log/{identity}/next', { params }))
  },
})
const lessons = useQuery({
  queryKey: ['lessons', false],
  queryFn: () => result(api.GET('/api/lessons')),
})
/** Lessons of the class that were not begun. */
const planned = computed(() =>
  (lessons.data.value ?? []).filter((one) => one.class_id === props.id && !one.begun),
)
const { busy, refusal, run, again } = useAction()
const doing = ref('')

function into(error: string, where: 'lesson' | 'set', lesson: string | null): void {
  doing.value = error
  void run(async () => {
    const params = { path: { identity: props.id } }
    const body = { error, into: where, lesson, date: on }
    const made = await result(api.POST('/api/log/{identity}/again', { params, body }))
    if (made.lesson) await goOn({ name: 'lesson', params: { id: made.lesson } })
    else await goOn({ name: 'set', params: { id: made.set ?? '' } })
  })
}
</script>

<template>
  <section>
    <h2>{{ words.log.next }}</h2>
    <FailureNote :message="refusal" @again="again" />
    <WaitFor :pending="isPending" :failure="saidOf(error)" @again="refetch">
      <p v-if="!data?.length" class="u-quiet">{{ words.log.nextNone }}</p>
      <ol>
        <li v-for="one in data" :key="one.error">
          <ErrorToTeach
            :next="one"
            :planned="planned"
            :busy="busy"
            @into="(where, lesson) => into(one.error, where, lesson)"
          />
        </li>
      </ol>
    </WaitFor>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0 0 var(--space-5);
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(19rem, 1fr));
  gap: var(--space-4);
}
li {
  display: grid;
}
</style>
