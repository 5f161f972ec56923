/** Putting things of a list aside and bringing them back; what was put aside last can be brought back at once. */
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, result } from '@/api/client'
import { useAction } from '@/api/useAction'

interface Stored {
  id: string
}

/** How a kind of thing is put aside and brought back. */
const WAYS = {
  examples: ['/api/examples/{identity}', '/api/examples/{identity}/restore'],
  sets: ['/api/sets/{identity}', '/api/sets/{identity}/restore'],
  proofs: ['/api/proofs/{identity}', '/api/proofs/{identity}/restore'],
} as const

export function usePuttingAside(kind: keyof typeof WAYS) {
  const cache = useQueryClient()
  const { refusal, run, again } = useAction()
  const last = ref<Stored[]>([])
  const [aside, back] = WAYS[kind]

  /** Do it to each; `rows` are what can be brought back then. */
  function each(rows: readonly Stored[], call: (id: string) => Promise<unknown>, then: Stored[]) {
    return run(async () => {
      for (const { id } of rows) await call(id)
      last.value = then
      await cache.invalidateQueries({ queryKey: [kind] })
    })
  }
  const at = (id: string) => ({ params: { path: { identity: id } } })

  const put = (rows: readonly Stored[]): Promise<boolean> =>
    each(rows, (id) => result(api.DELETE(aside, at(id))), [...rows])
  const bring = (rows: readonly Stored[]): Promise<boolean> =>
    each(rows, (id) => result(api.POST(back, at(id)) as Promise<{ response: Response }>), [])

  return { last, refusal, again, put, bring, undo: () => bring(last.value) }
}

export type PuttingAside = ReturnType<typeof usePuttingAside>
