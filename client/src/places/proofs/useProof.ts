/** One proofed key: its report, what of it is accepted, how its items are read. */
import { computed, ref, watch } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'

type Item = Schemas['ProofItem']
type Reading = Schemas['KeyItemIn']

/** The item as it is read now. */
export function readingOf(item: Item): Reading {
  return {
    number: item.number,
    at: item.at,
    task: (item.task ?? 'simplify') as Reading['task'],
    given: item.given,
    lines: (item.lines ?? []).map((line) => line.text),
    options: (item.options ?? []).map((option): [string, string] => [option.letter, option.text]),
    chosen: item.chosen ?? '',
    notes: item.notes ?? [],
    variable: item.variable ?? null,
  }
}

/** @param id the proofed key's id, as a getter */
export function useProof(id: () => string) {
  const proof = ref<Schemas['ProofOut'] | null>(null)
  const { busy, refusal, run, again } = useAction()
  const at = computed(() => ({ params: { path: { identity: id() } } }))
  const items = computed(() => proof.value?.report ?? [])
  let accepts = 0

  function load(): Promise<boolean> {
    return run(async () => {
      proof.value = await result(api.GET('/api/proofs/{identity}', at.value))
    })
  }
  watch(id, load, { immediate: true })

  const mendable = computed(() =>
    items.value.flatMap((item, place) =>
      item.correction?.length || (item.status === 'no-answer' && item.answer) ? [place] : [],
    ),
  )

  /** Stands at once, so that two ticked quickly are both kept; taken back where the server refuses it. */
  async function accept(places: number[]): Promise<boolean> {
    const shown = proof.value
    if (!shown) return false
    const mine = ++accepts
    proof.value = { ...shown, accepted: places }
    const isDone = await run(async () => {
      const body = { places }
      const kept = await result(api.PUT('/api/proofs/{identity}/accepted', { ...at.value, body }))
      if (mine === accepts) proof.value = kept
    })
    if (!isDone && mine === accepts) proof.value = shown
    return isDone
  }

  function toggle(place: number, on: boolean): Promise<boolean> {
    const now = proof.value?.accepted ?? []
    return accept(on ? [...now, place] : now.filter((other) => other !== place))
  }

  /** Put `instead` in the place of `count` items from `place` on; what changed is judged again. */
  function reread(place: number, count: number, instead: Reading[]): Promise<boolean> {
    const all = items.value.map(readingOf)
    all.splice(place, count, ...instead)
    return run(async () => {
      const body = { items: all }
      proof.value = await result(api.PUT('/api/proofs/{identity}/items', { ...at.value, body }))
    })
  }

  /** An item becomes further lines of the one above. */
  function join(place: number): Promise<boolean> {
    const [above, below] = [items.value[place - 1], items.value[place]]
    if (!above || !below) return Promise.resolve(false)
    const [first, second] = [readingOf(above), readingOf(below)]
    const lines = [...first.lines, second.given, ...second.lines].filter(Boolean)
    return reread(place - 1, 2, [{ ...first, lines, notes: [...first.notes, ...second.notes] }])
  }

  /** Make a set of the key as it is now; gives its id. */
  async function toSet(): Promise<string | null> {
    let made = ''
    const isDone = await run(async () => {
      made = (await result(api.POST('/api/proofs/{identity}/set', at.value))).set.id
    })
    return isDone ? made : null
  }

  return { proof, items, mendable, busy, refusal, again, load, accept, toggle, reread, join, toSet }
}
