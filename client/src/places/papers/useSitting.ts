/** A sitting with its grid: what stands in each cell, what came in, how far the marking is. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import { sendFile } from '@/api/files'
import { useJob } from '@/jobs/useJob'
import type { Grid } from './rows'

/** @param id the sitting's id, as a getter */
export function useSitting(id: () => string) {
  const cache = useQueryClient()
  const key = computed(() => ['sitting', id()])
  const path = () => ({ identity: id() })
  const query = useQuery({
    queryKey: key,
    queryFn: () => result(api.GET('/api/sittings/{identity}', { params: { path: path() } })),
    refetchInterval: ({ state }) => (isOpen(state.data) ? 1500 : false),
  })
  const grid = computed(() => query.data.value ?? null)
  const follow = useJob(
    () => (isOpen(grid.value) ? (grid.value?.job ?? null) : null),
    () => void query.refetch(),
  )
  const action = useAction()
  const keep = (found: Grid) => cache.setQueryData(key.value, found)

  async function takeTable(text: string): Promise<Schemas['TakenIn'] | null> {
    let taken: Schemas['TakenIn'] | null = null
    await action.run(async () => {
      const params = { params: { path: path() }, body: { text } }
      taken = await result(api.POST('/api/sittings/{identity}/table', params))
      keep(taken.grid)
    })
    return taken
  }
  async function takeFile(file: File): Promise<Schemas['TakenIn'] | null> {
    let taken: Schemas['TakenIn'] | null = null
    await action.run(async () => {
      taken = await sendFile<Schemas['TakenIn']>(`/api/sittings/${id()}/file`, file)
      keep(taken.grid)
    })
    return taken
  }
  function change(body: Schemas['SittingChange']): Promise<boolean> {
    return action.run(async () => {
      const params = { params: { path: path() }, body }
      keep(await result(api.PUT('/api/sittings/{identity}', params)))
    })
  }
  /** Make the marks final, or proposals again. */
  function release(released: boolean): Promise<boolean> {
    return action.run(async () => {
      const params = { params: { path: path() }, body: { released } }
      keep(await result(api.PUT('/api/sittings/{identity}/release', params)))
    })
  }
  const reload = () => void query.refetch()
  return { id, grid, query, follow, action, takeTable, takeFile, change, release, reload }
}

function isOpen(grid: Grid | null | undefined): boolean {
  return !!grid?.job && ['waiting', 'running'].includes(grid.job.state)
}
