/** Answers to one example: kept in this browser as typed, placed by the core after a pause. */
import { useDebounceFn, useStorage } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import { contentOf } from '@/example/content'
import { problemOf } from '@/example/problem'
import { pasted } from './pasted'

const PAUSE = 500

/** @param id the example's id; it does not change while the place lives */
export function useAnswers(id: string) {
  const text = useStorage(`uchuu.answers.${id}`, '')
  const cleared = ref('')
  const example = ref<Schemas['ExampleOut'] | null>(null)
  const placed = ref<Schemas['Placed'] | null>(null)
  const answers = computed(() => pasted(text.value))
  /** The answers that `placed` is about. */
  const about = shallowRef(answers.value)
  const action = useAction()
  let latest = 0

  async function place(): Promise<void> {
    const asked = answers.value
    const number = ++latest
    await action.run(async () => {
      const path = { identity: id }
      example.value ??= await result(api.GET('/api/examples/{identity}', { params: { path } }))
      const problem = problemOf(contentOf(example.value))
      const body = { ...problem, answers: asked.map((one) => one.text) }
      const found = await result(api.POST('/api/algebra/place', { body }))
      if (number !== latest) return
      about.value = asked
      placed.value = found
    })
  }
  const later = useDebounceFn(place, PAUSE)
  watch(text, () => void later())
  void place()

  function clear(): void {
    cleared.value = text.value
    text.value = ''
  }
  function bringBack(): void {
    text.value = cleared.value
    cleared.value = ''
  }
  const isWaiting = computed(() => action.busy.value || about.value !== answers.value)

  return { text, cleared, example, placed, about, isWaiting, clear, bringBack, ...action }
}
