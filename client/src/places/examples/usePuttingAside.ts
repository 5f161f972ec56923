/** Putting examples aside and bringing them back; what was put aside last can be brought back at once. */
import { useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, result } from '@/api/client'
import { useAction } from '@/api/useAction'

interface Stored {
  id: string
}

export function usePuttingAside() {
  const cache = useQueryClient()
  const { refusal, run, again } = useAction()
  const last = ref<Stored[]>([])
  const changed = () => cache.invalidateQueries({ queryKey: ['examples'] })

  function put(rows: readonly Stored[]): Promise<boolean> {
    return run(async () => {
      for (const { id } of rows) {
        const params = { path: { identity: id } }
        await result(api.DELETE('/api/examples/{identity}', { params }))
      }
      last.value = [...rows]
      await changed()
    })
  }

  function bring(rows: readonly Stored[]): Promise<boolean> {
    return run(async () => {
      for (const { id } of rows) {
        const params = { path: { identity: id } }
        await result(api.POST('/api/examples/{identity}/restore', { params }))
      }
      last.value = []
      await changed()
    })
  }

  return { last, refusal, again, put, bring, undo: () => bring(last.value) }
}
