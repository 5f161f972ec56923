/** An example as it is told: fetched once for a place that only shows it. */
import { ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { contentOf } from '@/example/content'
import { problemOf } from '@/example/problem'

/** @param id the example's id, as a getter */
export function useExample(id: () => string) {
  const example = ref<Schemas['ExampleOut'] | null>(null)
  const told = ref<Schemas['ToldLine'][]>([])
  const checked = ref<Schemas['Checked'] | null>(null)
  const forks = ref<Schemas['Fork'][]>([])
  const refusal = ref('')

  async function load(): Promise<void> {
    refusal.value = ''
    try {
      const path = { identity: id() }
      const found = await result(api.GET('/api/examples/{identity}', { params: { path } }))
      const body = problemOf(contentOf(found))
      const [lines, judged] = await Promise.all([
        result(api.POST('/api/algebra/tell', { body })),
        result(api.POST('/api/algebra/check', { body })),
      ])
      example.value = found
      told.value = lines.lines
      checked.value = judged
      forks.value = (await result(api.POST('/api/algebra/forks', { body }))).forks
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      if (!told.value.length) refusal.value = reason.message
    }
  }
  watch(id, load, { immediate: true })

  return { example, told, checked, forks, refusal, load }
}

export type ShownExample = ReturnType<typeof useExample>
