/** One set: its items with what the core knows of them; every change is saved. */
import { computed, onScopeDispose, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { later } from '@/shared/logic/debounce'
import { climbing, jumps, repeats } from './climb'
import { useFacts } from './useFacts'

export type Item = Schemas['ItemOut']

type Written = Pick<Schemas['SetOut'], 'title' | 'instruction' | 'house' | 'items'>

const PAUSE = 250

/** @param id the set's id, as a getter */
export function useSet(id: () => string) {
  const title = ref('')
  const instruction = ref('')
  const house = ref<Schemas['OwnRules']>({})
  const form = ref('')
  const items = ref<Item[]>([])
  const { facts, waiting, learn, forget } = useFacts(id)
  const refusal = ref('')
  const state = ref<'saved' | 'waiting' | 'saving' | 'offline' | 'conflict'>('saved')
  let version = 0
  /** False until the set is here: nothing is typed into what would be overwritten. */
  const opened = ref(false)
  let isOpening = true
  let saving: Promise<void> | null = null

  const keptUnder = () => `uchuu.set.${id()}`
  const here = (): Written => ({
    title: title.value,
    instruction: instruction.value,
    house: house.value,
    items: items.value,
  })

  /** Keep what is not stored yet in this browser: a reload or a crash loses nothing. */
  function keep(): void {
    localStorage.setItem(keptUnder(), JSON.stringify(here()))
  }

  function take(found: Schemas['SetOut']): void {
    isOpening = true
    version = found.version
    form.value = found.form
    write(found)
    queueMicrotask(() => {
      isOpening = false
      const kept = localStorage.getItem(keptUnder())
      if (kept) write(JSON.parse(kept) as Written)
    })
  }

  function write(written: Written): void {
    title.value = written.title
    instruction.value = written.instruction
    house.value = written.house ?? {}
    items.value = written.items
    written.items.forEach((item) => void learn(item))
  }

  async function load(): Promise<void> {
    try {
      forget()
      take(await result(api.GET('/api/sets/{identity}', { params: { path: { identity: id() } } })))
      state.value = 'saved'
      opened.value = true
      refusal.value = ''
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      refusal.value = reason.message
    }
  }

  /** One save at a time: the next is made on the version that this one gives. */
  async function save(): Promise<void> {
    while (saving) await saving
    saving = send().finally(() => (saving = null))
    await saving
  }

  async function send(): Promise<void> {
    state.value = 'saving'
    const body = {
      ...here(),
      version,
      items: items.value.map(({ example, marks, minutes, instruction }) => ({
        example: example.id,
        instruction: instruction ?? '',
        marks: marks || null,
        minutes: minutes || null,
      })),
    }
    try {
      const path = { identity: id() }
      version = (await result(api.PUT('/api/sets/{identity}', { params: { path }, body }))).version
      if (state.value === 'saving') {
        state.value = 'saved'
        localStorage.removeItem(keptUnder())
      }
      refusal.value = ''
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      state.value = reason.status === 409 ? 'conflict' : 'offline'
      refusal.value = reason.message
      if (reason.status >= 500 || reason.status === 0) setTimeout(() => soon(), 3000)
    }
  }
  const soon = later(() => void save(), PAUSE)
  watch(
    [title, instruction, house, items],
    () => {
      if (isOpening || state.value === 'conflict') return
      state.value = 'waiting'
      keep()
      soon()
    },
    { deep: true },
  )
  watch(id, load, { immediate: true })
  onScopeDispose(soon.flush)

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

  async function add(identity: string): Promise<void> {
    try {
      const path = { identity }
      const example = await result(api.GET('/api/examples/{identity}', { params: { path } }))
      const item: Item = { example, instruction: '', marks: null, minutes: null }
      items.value = [...items.value, item]
      await learn(item)
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      refusal.value = reason.message
    }
  }

  /** Store what is here, then let the server change the set and take what it gives. */
  async function changedBy<T>(action: () => Promise<T & { set?: Schemas['SetOut'] }>): Promise<T> {
    soon.cancel()
    if (state.value !== 'saved') await save()
    const made = await action()
    if (made.set) take(made.set)
    return made
  }

  /** Take what the server has, and let go of what was not stored. */
  async function takeTheirs(): Promise<void> {
    localStorage.removeItem(keptUnder())
    await load()
  }

  return {
    title,
    instruction,
    house,
    form,
    items,
    facts,
    waiting,
    steps,
    refusal,
    state,
    opened,
    jumps: computed(() => jumps(steps.value)),
    repeats: computed(() => repeats(steps.value)),
    load,
    save,
    takeTheirs,
    changedBy,
    move,
    climb,
    add,
    remove: (index: number) => (items.value = items.value.filter((_, n) => n !== index)),
  }
}
