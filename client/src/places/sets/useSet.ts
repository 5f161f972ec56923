/** One set: its items with what the core knows of them; every change is saved. */
import { computed, ref, watch } from 'vue'
import { api, result, signedOut, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import { useAutosave } from '@/api/useAutosave'
import { climbing, jumps, repeats } from './climb'
import { useFacts } from './useFacts'

export type Item = Schemas['ItemOut']

/** What is written of a set. */
export interface Written {
  title: string
  instruction: string
  house: Schemas['OwnRules']
  items: Item[]
}

const nothing = (): Written => ({ title: '', instruction: '', house: {}, items: [] })

function contentOf(found: Schemas['SetOut']): Written {
  const { title, instruction, house, items } = found
  const set = Object.entries(house ?? {}).filter(([, value]) => value !== null)
  return { title, instruction, house: Object.fromEntries(set), items: [...items] }
}

/** What is stored of the content: of an example only which one it is. */
function bodyOf({ title, instruction, house, items }: Written) {
  return {
    title,
    instruction,
    house,
    items: items.map(({ example, marks, minutes, instruction: own }) => ({
      example: example.id,
      instruction: own ?? '',
      marks: marks || null,
      minutes: minutes || null,
    })),
  }
}

const mark = (content: Written) => JSON.stringify(bodyOf(content))

/** @param id the set's id, as a getter */
export function useSet(id: () => string) {
  const content = ref<Written>(nothing())
  const form = ref('')
  const { facts, waiting, learn, forget } = useFacts(id)
  const opening = useAction()
  const at = () => ({ params: { path: { identity: id() } } })
  const saving = useAutosave<Written, Schemas['SetOut']>({
    kind: 'set',
    content,
    isSame: (one, other) => mark(one) === mark(other),
    copyOf: (one) => ({ ...one, items: one.items.map((item) => ({ ...item })) }),
    contentOf,
    // not `at()`: the address may name another set already
    send: (sent, stored, version) =>
      result(
        api.PUT('/api/sets/{identity}', {
          params: { path: { identity: stored ?? id() } },
          body: { ...bodyOf(sent), version },
        }),
      ),
  })
  /** False until the set is here: nothing is typed into what would be overwritten. */
  const opened = computed(() => saving.id.value === id())
  const items = computed({
    get: () => content.value.items,
    set: (now) => (content.value = { ...content.value, items: now }),
  })

  function take(found: Schemas['SetOut'], isStored = false): void {
    form.value = found.form
    if (isStored) saving.took(found)
    else saving.opened(found)
  }

  function load(): Promise<boolean> {
    return opening.run(async () => {
      const asked = id()
      await saving.save() // of the one before
      const found = await result(api.GET('/api/sets/{identity}', at()))
      if (asked !== id()) return
      forget()
      take(found)
    })
  }
  watch(id, load, { immediate: true })
  watch(items, learn)
  watch(signedOut, (out) => {
    if (!out) learn(items.value)
  })

  const steps = computed(() =>
    items.value.map(({ example }) => {
      const known = facts.value[example.id]
      return {
        score: known?.difficulty?.score ?? null,
        same: known?.same ?? '',
        structure: known?.structure ?? '',
      }
    }),
  )

  function move(index: number, by: number): number {
    const to = index + by
    if (to < 0 || to >= items.value.length) return index
    const next = [...items.value]
    const [item] = next.splice(index, 1)
    if (item) next.splice(to, 0, item)
    items.value = next
    return to
  }

  function climb(): void {
    items.value = climbing(steps.value).flatMap((index) => items.value[index] ?? [])
  }

  function add(identity: string): Promise<boolean> {
    return opening.run(async () => {
      const path = { identity }
      const example = await result(api.GET('/api/examples/{identity}', { params: { path } }))
      items.value = [...items.value, { example, instruction: '', marks: null, minutes: null }]
    })
  }

  /** Store what is here, then let the server change the set and take what it gives. */
  async function changedBy<T>(action: () => Promise<T & { set?: Schemas['SetOut'] }>): Promise<T> {
    await saving.save()
    const made = await action()
    if (made.set) take(made.set, true)
    return made
  }

  return {
    content,
    form,
    items,
    facts,
    waiting,
    steps,
    saving,
    opening,
    opened,
    jumps: computed(() => jumps(steps.value)),
    repeats: computed(() => repeats(steps.value)),
    load,
    changedBy,
    move,
    climb,
    add,
    remove: (index: number) => (items.value = items.value.filter((_, n) => n !== index)),
  }
}

export type OpenSet = ReturnType<typeof useSet>
