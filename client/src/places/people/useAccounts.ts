/** The accounts of a school: found by name, and what whoever keeps them does to one. */
import { useInfiniteQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { ElMessageBox } from 'element-plus'
import 'element-plus/es/components/message-box/style/css'
import { computed, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import { words } from '@/texts/en'

type Row = Schemas['AccountRow']

/** @param told tells the link that was made, and whose it is */
export function useAccounts(told: (made: { link: string; says: string }) => void) {
  const wanted = ref('')
  const search = refDebounced(wanted, 250)
  const said = ref('')
  const list = useInfiniteQuery({
    queryKey: computed(() => ['people', search.value]),
    queryFn: ({ pageParam }) => {
      const query = { search: search.value, cursor: pageParam }
      return result(api.GET('/api/people', { params: { query } }))
    },
    initialPageParam: '',
    getNextPageParam: (page) => page.next ?? undefined,
  })
  const rows = computed(() => list.data.value?.pages.flatMap((page) => page.results) ?? [])
  const { busy, refusal, run } = useAction()
  const at = (row: Row) => ({ params: { path: { identity: row.id } } })

  async function done(action: () => Promise<unknown>): Promise<boolean> {
    said.value = ''
    const isDone = await run(async () => void (await action()))
    await list.refetch()
    return isDone
  }

  function place(row: Row, change: Partial<Pick<Row, 'department' | 'administrator'>>): void {
    const body = { department: row.department, administrator: row.administrator, ...change }
    void done(() => result(api.PUT('/api/people/{identity}', { ...at(row), body })))
  }

  function toggle(row: Row): void {
    void done(() =>
      result(
        row.locked
          ? api.POST('/api/people/{identity}/release', at(row))
          : api.POST('/api/people/{identity}/lock', at(row)),
      ),
    )
  }

  async function reset(row: Row): Promise<void> {
    await done(async () => {
      const made = await result(api.POST('/api/people/{identity}/reset', at(row)))
      told({ link: made.link, says: words.people.linkFor(row.username) })
    })
  }

  async function forget(row: Row): Promise<void> {
    const sure = await ElMessageBox.confirm(words.people.forgetSays(row.username), {
      confirmButtonText: words.people.forget,
      cancelButtonText: words.units.leave,
    }).catch(() => null)
    if (!sure) return
    if (await done(() => result(api.POST('/api/people/{identity}/second-factor', at(row)))))
      said.value = words.people.forgot(row.username)
  }

  return { wanted, said, list, rows, busy, refusal, place, toggle, reset, forget }
}
