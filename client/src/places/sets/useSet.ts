/** One set: its items with what the core knows of them; every change is saved. */
import { computed, onScopeDispose, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { contentOf } from '@/example/content'
import { problemOf } from '@/example/problem'
import { later } from '@/shared/logic/debounce'
import { climbing, jumps, repeats, shapeOf } from './climb'

export type Item = Schemas['ItemOut']
export type Known = {
  worked: Schemas['Worked'] | null
  screened: Schemas['Screened'] | null
  refused: string
}

type Written = Pick<Schemas['SetOut'], 'title' | 'instruction' | 'items'>

const PAUSE = 250

/** @param id the set's id, as a getter */
export function useSet(id: () => string) {
  const title = ref('')
  const instruction = ref('')
  const items = ref<Item[]>([])
  const known = ref<Record<string, Known>>({})
  const refusal = ref('')
  const state = ref<'saved' | 'waiting' | 'saving' | 'offline' | 'conflict'>('saved')
  let version = 0
  let isOpening = true
  let isSaving = false

  const keptUnder = () => `uchuu.set.${id()}`

  /** Keep what is not stored yet in this browser: a reload or a crash loses nothing. */
  function keep(): void {
    const here: Written = { title: title.value, instruction: instruction.value, items: items.value }
    localStorage.setItem(keptUnder(), JSON.stringify(here))
  }

  function take(found: Schemas['SetOut']): void {
    isOpening = true
    version = found.version
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
    items.value = written.items
    written.items.forEach((item) => void learn(item))
  }

  async function load(): Promise<void> {
    try {
      known.value = {}
      take(await result(api.GET('/api/sets/{identity}', { params: { path: { identity: id() } } })))
      state.value = 'saved'
      refusal.value = ''
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      refusal.value = reason.message
    }
  }

  /** Work the item, and find which errors it reveals or hides. */
  async function learn(item: Item): Promise<void> {
    const key = item.example.id
    if (known.value[key]?.worked) return
    const found: Known = { worked: null, screened: null, refused: '' }
    known.value[key] = found
    const body = { ...problemOf(contentOf(item.example)), lines: [] }
    try {
      found.worked = await result(api.POST('/api/algebra/work', { body }))
      known.value[key] = { ...found }
      found.screened = await result(api.POST('/api/algebra/screen', { body }))
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      found.refused = reason.message
    }
    known.value[key] = { ...found }
  }

  /** One save at a time: the next is made on the version that this one gives. */
  async function save(): Promise<void> {
    if (isSaving) return soon()
    isSaving = true
    state.value = 'saving'
    const body = {
      title: title.value,
      instruction: instruction.value,
      version,
      items: items.value.map(({ example, marks, minutes }) => ({
        example: example.id,
        marks: marks ?? null,
        minutes: minutes ?? null,
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
    } finally {
      isSaving = false
    }
  }
  const soon = later(() => void save(), PAUSE)
  watch(
    [title, instruction, items],
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
    items.value.map(({ example }) => ({
      score: known.value[example.id]?.worked?.difficulty.score ?? null,
      shape: `${example.task} ${shapeOf(example.given ?? '')}`,
    })),
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
      const item: Item = { example, marks: null, minutes: null }
      items.value = [...items.value, item]
      await learn(item)
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      refusal.value = reason.message
    }
  }

  /** Take what the server has, and let go of what was not stored. */
  async function takeTheirs(): Promise<void> {
    localStorage.removeItem(keptUnder())
    await load()
  }

  return {
    title,
    instruction,
    items,
    known,
    steps,
    refusal,
    state,
    jumps: computed(() => jumps(steps.value)),
    repeats: computed(() => repeats(steps.value)),
    load,
    takeTheirs,
    move,
    climb,
    add,
    remove: (index: number) => (items.value = items.value.filter((_, n) => n !== index)),
  }
}
