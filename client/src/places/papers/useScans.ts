/** The scanned pages of a sitting: brought in, laid to codes, turned, thrown away. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { sendFile } from '@/api/files'
import { useAction } from '@/api/useAction'
import { useJob } from '@/jobs/useJob'

export type Page = Schemas['PageOut']
type Pages = Schemas['PagesOut']
const OPEN = ['waiting', 'running']

/** @param id the sitting's id, as a getter */
export function useScans(id: () => string) {
  const cache = useQueryClient()
  const key = computed(() => ['scans', id()])
  const query = useQuery({
    queryKey: key,
    queryFn: () => result(api.GET('/api/scans/{sitting}', { params: { path: { sitting: id() } } })),
  })
  const pages = computed(() => query.data.value?.pages ?? [])
  const follow = useJob(
    () => query.data.value?.job ?? null,
    () => void query.refetch(),
  )
  const action = useAction()
  const keep = (found: Pages) => cache.setQueryData(key.value, found)
  const isCutting = computed(() => OPEN.includes(follow.job.value?.state ?? ''))

  function bring(file: File): Promise<boolean> {
    return action.run(async () => {
      keep(await sendFile<Pages>(`/api/scans/${id()}`, file))
    })
  }
  function lay(page: Page, student: number | null, turn: 0 | 90 | 180 | 270 = 0): void {
    void action.run(async () => {
      const params = { path: { sitting: id(), page: page.id } }
      const body = { student, page: page.page, turn }
      keep(await result(api.PUT('/api/scans/{sitting}/pages/{page}', { params, body })))
    })
  }
  function remove(page: Page): void {
    void action.run(async () => {
      const params = { path: { sitting: id(), page: page.id } }
      keep(await result(api.DELETE('/api/scans/{sitting}/pages/{page}', { params })))
    })
  }
  /** Where the picture of a page is; asked anew once it was turned. */
  const pictureOf = (page: Page) =>
    `/api/scans/${id()}/pages/${page.id}/picture?seen=${query.dataUpdatedAt.value}`
  return { query, pages, follow, isCutting, action, bring, lay, remove, pictureOf }
}
