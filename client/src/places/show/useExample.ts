/** An example as it is told: fetched once for a place that only shows it. */
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { contentOf } from '@/example/content'
import { problemOf } from '@/example/problem'
import { byCounts, useClassesAt } from '@/example/useClassesAt'

/**
 * @param id the example's id, as a getter
 * @param works whether one without lines is shown as it is worked
 */
export function useExample(id: () => string, works = false) {
  const example = ref<Schemas['ExampleOut'] | null>(null)
  const told = ref<Schemas['ToldLine'][]>([])
  const checked = ref<Schemas['Checked'] | null>(null)
  const found = ref<Schemas['Fork'][]>([])
  const classes = useClassesAt(id)
  const forks = computed(() => byCounts(found.value, classes.value))
  const refusal = ref('')

  async function load(): Promise<void> {
    const asked = id()
    refusal.value = ''
    if (example.value?.id !== asked) {
      example.value = checked.value = null
      told.value = []
      found.value = []
    }
    try {
      const path = { identity: asked }
      const stored = await result(api.GET('/api/examples/{identity}', { params: { path } }))
      const body = problemOf(contentOf(stored))
      if (works && !stored.lines.length) body.lines = await workedLines(body)
      const [lines, judged] = await Promise.all([
        result(api.POST('/api/algebra/tell', { body })),
        result(api.POST('/api/algebra/check', { body })),
      ])
      if (id() !== asked) return // another one is wanted meanwhile
      example.value = stored
      told.value = lines.lines
      checked.value = judged
      const { forks: all } = await result(api.POST('/api/algebra/forks', { body }))
      if (id() === asked) found.value = all
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      if (id() === asked && !told.value.length) refusal.value = reason.message
    }
  }
  watch(id, load, { immediate: true })

  return { example, told, checked, forks, refusal, load }
}

async function workedLines(body: ReturnType<typeof problemOf>): Promise<string[]> {
  const { lines } = await result(api.POST('/api/algebra/work', { body }))
  return lines.map(({ text }) => text)
}

export type ShownExample = ReturnType<typeof useExample>
