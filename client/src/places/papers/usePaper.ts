/** One student's paper: loaded, written item by item, decided mark by mark; marked in the background. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { useEventListener } from '@vueuse/core'
import { computed, reactive, watch } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'

export type Work = Schemas['WorkOut']
type Paper = Schemas['PaperOut']

/**
 * @param sitting the sitting's id, as a getter
 * @param student the student's id, as a getter
 */
export function usePaper(sitting: () => string, student: () => number) {
  const cache = useQueryClient()
  const key = computed(() => ['paper', sitting(), student()])
  const path = () => ({ identity: sitting(), student: student() })
  const query = useQuery({
    queryKey: key,
    queryFn: () =>
      result(api.GET('/api/sittings/{identity}/papers/{student}', { params: { path: path() } })),
    refetchInterval: ({ state }) => (isWaiting(state.data) ? 700 : false),
  })
  const paper = computed(() => query.data.value ?? null)
  /** What is typed and not stored yet, by item. */
  const typed = reactive(new Map<number, string>())
  const action = useAction()
  watch(student, () => typed.clear())

  const textOf = (work: Work) => typed.get(work.item) ?? work.lines.join('\n')

  function keep(found: Paper): void {
    cache.setQueryData(key.value, found)
    void cache.invalidateQueries({ queryKey: ['sitting', sitting()] })
  }

  /** Store what is typed for one item, where it differs from what is stored. */
  async function store(work: Work): Promise<void> {
    const text = typed.get(work.item)
    if (text === undefined) return
    const lines = text.split('\n').map((line) => line.trim())
    if (lines.filter(Boolean).join('\n') === work.lines.join('\n')) {
      typed.delete(work.item)
      return
    }
    const params = { path: path() }
    const done = await action.run(async () => {
      const body = { works: [{ item: work.item, lines }] }
      keep(await result(api.PUT('/api/sittings/{identity}/papers/{student}', { params, body })))
    })
    if (done && typed.get(work.item) === text) typed.delete(work.item)
  }

  function decide(body: Schemas['DecisionIn']): Promise<boolean> {
    const params = { path: path() }
    return action.run(async () => {
      const route = '/api/sittings/{identity}/papers/{student}/decision'
      keep(await result(api.PUT(route, { params, body })))
    })
  }

  /** Mark also what could not be marked in time. */
  function markAgain(): Promise<boolean> {
    return action.run(async () => {
      await result(api.POST('/api/sittings/{identity}/mark', { params: { path: path() } }))
      await query.refetch()
    })
  }
  /** Keep what is said of one item to the student. */
  function comment(body: Schemas['CommentIn']): Promise<boolean> {
    const route = '/api/sittings/{identity}/papers/{student}/comment'
    return action.run(async () => {
      keep(await result(api.PUT(route, { params: { path: path() }, body })))
    })
  }
  /** Say which version the student had. */
  function had(version: string): Promise<boolean> {
    const route = '/api/sittings/{identity}/papers/{student}/version'
    return action.run(async () => {
      keep(await result(api.PUT(route, { params: { path: path() }, body: { version } })))
    })
  }
  // a window that is closed takes what is typed with it: it asks first
  useEventListener(window, 'beforeunload', (event) => typed.size && event.preventDefault())

  return { paper, query, typed, action, textOf, store, decide, markAgain, comment, had }
}

function isWaiting(paper: Paper | undefined): boolean {
  return !!paper?.works.some((work) => work.waiting)
}
