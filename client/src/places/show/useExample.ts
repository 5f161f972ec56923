/** An example as it is told: fetched once for a place that only shows it. */
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { contentOf } from '@/example/content'
import { problemOf } from '@/example/problem'
import { byCounts, useClassesAt } from '@/example/useClassesAt'
import type { Story } from './script'

/**
 * @param id the example's id, as a getter
 * @param works whether one without lines is shown as it is worked
 */
export function useExample(id: () => string, works = false) {
  const example = ref<Schemas['ExampleOut'] | null>(null)
  const told = ref<Schemas['ToldLine'][]>([])
  const checked = ref<Schemas['Checked'] | null>(null)
  const found = ref<Schemas['Fork'][]>([])
  /** The lines as a hand marks them, and what stands beside them. */
  const drawn = ref<Schemas['DrawnLine'][]>([])
  const sideWorks = ref<Schemas['SideWork'][]>([])
  const story = ref<Story | null>(null)
  const classes = useClassesAt(id)
  const forks = computed(() => byCounts(found.value, classes.value))
  const refusal = ref('')
  let body: Schemas['ProblemIn'] | null = null

  async function load(): Promise<void> {
    const asked = id()
    refusal.value = ''
    if (example.value?.id !== asked) {
      example.value = checked.value = story.value = null
      told.value = []
      found.value = []
      drawn.value = []
      sideWorks.value = []
    }
    try {
      const path = { identity: asked }
      const stored = await result(api.GET('/api/examples/{identity}', { params: { path } }))
      const problem = problemOf(contentOf(stored))
      if (works && !stored.lines.length) problem.lines = await workedLines(problem)
      const [lines, judged] = await Promise.all([
        result(api.POST('/api/algebra/tell', { body: problem })),
        result(api.POST('/api/algebra/check', { body: problem })),
      ])
      if (id() !== asked) return // another one is wanted meanwhile
      body = problem
      example.value = stored
      told.value = lines.lines
      checked.value = judged
      await Promise.all([loadForks(problem, asked), loadDrawing(problem, asked)])
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      if (id() === asked && !told.value.length) refusal.value = reason.message
    }
  }

  async function loadForks(problem: Schemas['ProblemIn'], asked: string): Promise<void> {
    const { forks: all } = await result(api.POST('/api/algebra/forks', { body: problem }))
    if (id() === asked) found.value = all
  }

  async function loadDrawing(problem: Schemas['ProblemIn'], asked: string): Promise<void> {
    const [lines, works] = await Promise.all([
      result(api.POST('/api/algebra/draw', { body: problem })),
      result(api.POST('/api/algebra/beside', { body: problem })),
    ])
    if (id() !== asked) return
    drawn.value = lines.lines
    sideWorks.value = works.works
  }

  /** Fetch the wrong story: the most tempting fork, carried on to its end. Return whether there is one. */
  async function loadStory(): Promise<boolean> {
    const fork = forks.value.find((one) => !one.hidden)
    if (!fork || !body) return false
    if (story.value?.fork === fork) return true
    const asked = id()
    try {
      const wrong = { ...body, wrong: fork.wrong }
      const { path } = await result(api.POST('/api/algebra/fork', { body: wrong }))
      if (id() !== asked) return false
      story.value = { fork, path: path ?? [] }
      return true
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      return false
    }
  }
  watch(id, load, { immediate: true })

  return { example, told, checked, forks, drawn, sideWorks, story, refusal, load, loadStory }
}

async function workedLines(body: Schemas['ProblemIn']): Promise<string[]> {
  const { lines } = await result(api.POST('/api/algebra/work', { body }))
  return lines.map(({ text }) => text)
}

export type ShownExample = ReturnType<typeof useExample>
