/** A lesson that is held: which item, how long, what was opened and counted; kept here until it is stored. */
import { useDocumentVisibility, useIntervalFn, useTimeoutFn } from '@vueuse/core'
import { computed, onScopeDispose, ref, shallowReactive } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { isPassing } from '@/api/queries'
import { useAction } from '@/api/useAction'
import { forget, keep, keptOf } from '@/api/unsaved'

export type Held = Schemas['HeldIn']
export type Hands = Schemas['HandsIn']

const PAUSE = 500
const RETRY = 3000
const KIND = 'held'

const nothing = (): Held => ({ seconds: 0, shown: 0, lines: 0, hands: [], forks: [] })

/** @param id the lesson's id */
export function useHeld(id: string) {
  const lesson = ref<Schemas['PlanOut'] | null>(null)
  const index = ref(0)
  /** What was held of each item, by its number; more than what the server has while it is `unsaved`. */
  const held = shallowReactive(new Map<number, Held>())
  const unsaved = shallowReactive(new Set<number>())
  const opening = useAction()
  const minutes = ref(0)
  const at = () => ({ params: { path: { identity: id } } })

  /** What is shown in class: what has an example, is not skipped and not given home. */
  const items = computed(() =>
    (lesson.value?.items ?? []).filter(
      ({ example, role }) => example && role !== 'skipped' && role !== 'homework',
    ),
  )
  const item = computed(() => items.value[index.value] ?? null)
  const of = (key: number) => held.get(key) ?? nothing()

  function load(): Promise<boolean> {
    return opening.run(async () => {
      const found = await result(api.POST('/api/lessons/{identity}/begin', at()))
      for (const { id: key, seconds, shown, of: lines, hands, forks } of found.items) {
        const kept = keptOf<Held>(KIND, String(key))?.content
        held.set(key, kept ?? { seconds, shown, lines, hands, forks })
        if (kept) unsaved.add(key)
      }
      lesson.value = found
      tick()
      const next = items.value.findIndex(({ done }) => !done)
      index.value = Math.max(0, next)
      if (unsaved.size) soon.start()
    })
  }

  /** Change what was held of the item that is shown now. */
  function note(change: Partial<Held>): void {
    const key = item.value?.id
    if (key === undefined) return
    const now = { ...of(key), ...change }
    held.set(key, now)
    unsaved.add(key)
    keep(KIND, String(key), { content: now, version: 0, draft: '' })
    soon.start()
  }
  function shown(lines: number, all: number): void {
    const key = item.value?.id
    if (key === undefined) return
    const before = of(key)
    note({ shown: Math.max(before.shown, Math.min(lines, all)), lines: all })
  }
  function forked({ after, error, name }: Schemas['Fork']): void {
    const key = item.value?.id
    if (key === undefined) return
    const { forks } = of(key)
    if (!forks.some((one) => one.after === after && one.error === error))
      note({ forks: [...forks, { after, error, name }] })
  }
  function raised(hands: Hands): void {
    const key = item.value?.id
    if (key === undefined) return
    const others = of(key).hands.filter(
      ({ after, kind }) => after !== hands.after || kind !== hands.kind,
    )
    note({ hands: [...others, hands] })
  }

  async function store(): Promise<boolean> {
    for (const key of [...unsaved]) {
      const sent = of(key)
      const params = { path: { identity: id, item: key } }
      try {
        await result(api.PUT('/api/lessons/{identity}/items/{item}/held', { params, body: sent }))
      } catch (reason) {
        if (!(reason instanceof Refusal)) throw reason
        if (isPassing(reason) || reason.status === 401) {
          again.start()
          return false
        }
      }
      if (held.get(key) === sent) {
        unsaved.delete(key)
        forget(KIND, String(key))
      }
    }
    return true
  }
  const soon = useTimeoutFn(() => void store(), PAUSE, { immediate: false })
  const again = useTimeoutFn(() => void store(), RETRY, { immediate: false })

  function tick(): void {
    const begun = lesson.value?.begun
    minutes.value = begun ? Math.max(0, Math.floor((Date.now() - Date.parse(begun)) / 60000)) : 0
  }
  const visible = useDocumentVisibility()
  /** The seconds of an item count while it is looked at; they are stored with what is done next. */
  useIntervalFn(() => {
    tick()
    const key = item.value?.id
    if (key === undefined || visible.value !== 'visible') return
    held.set(key, { ...of(key), seconds: of(key).seconds + 1 })
  }, 1000)

  function go(to: number): void {
    if (!items.value[to]) return
    note({})
    index.value = to
  }
  async function end(): Promise<boolean> {
    note({})
    soon.stop()
    if (!(await store())) return false
    return opening.run(async () => {
      await result(api.POST('/api/lessons/{identity}/end', at()))
    })
  }
  onScopeDispose(() => void store())

  return {
    ...{ lesson, items, item, index, held, unsaved, minutes, opening },
    ...{ load, shown, forked, raised, go, end },
  }
}
