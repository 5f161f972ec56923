/** One lesson: its plan, every change of which is saved, and what was held of it. */
import { computed, ref, watch } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import { useAutosave } from '@/api/useAutosave'

export type Item = Schemas['PlanItem']

/** What is written of a plan. */
export interface Plan {
  title: string
  date: string
  minutes: number
  note: string
  unit: string | null
  items: Item[]
}

const nothing = (): Plan => ({ title: '', date: '', minutes: 45, note: '', unit: null, items: [] })

function planOf({ title, date, minutes, note, unit, items }: Schemas['PlanOut']): Plan {
  return { title, date, minutes, note, unit, items: items.map((item) => ({ ...item })) }
}

/** What is stored of the plan: of an item what the teacher wrote. */
export function bodyOf({ items, ...plan }: Plan) {
  return {
    ...plan,
    items: items.map(({ id, example, role, note, star, first_move, minutes }) => ({
      ...{ id: id || null, example, role, note, star, first_move, minutes },
    })),
  }
}

const mark = (plan: Plan) => JSON.stringify(bodyOf(plan))

/** @param id the lesson's id, as a getter */
export function useLesson(id: () => string) {
  const content = ref<Plan>(nothing())
  const found = ref<Schemas['PlanOut'] | null>(null)
  const due = ref<string[]>([])
  const action = useAction()
  const at = () => ({ params: { path: { identity: id() } } })
  const saving = useAutosave<Plan, Schemas['PlanOut']>({
    kind: 'lesson',
    content,
    isSame: (one, other) => mark(one) === mark(other),
    copyOf: (one) => ({ ...one, items: one.items.map((item) => ({ ...item })) }),
    contentOf: planOf,
    send: async (sent, stored, version) => {
      const params = { path: { identity: stored ?? id() } }
      const body = { ...bodyOf(sent), version }
      const saved = await result(api.PUT('/api/lessons/{identity}', { params, body }))
      if (saved.id === id()) tell(saved)
      return saved
    },
  })
  const opened = computed(() => saving.id.value === id())

  /** Take what the server says of the items, and leave what is typed. */
  function tell(saved: Schemas['PlanOut']): void {
    found.value = saved
    const same = saved.items.length === content.value.items.length
    if (!same) return
    content.value.items.forEach((item, index) => {
      const told = saved.items[index]
      // what was moved meanwhile is another one: it is told with the next saving
      if (!told || item.example !== told.example || (item.id && item.id !== told.id)) return
      const { id: key, estimated, drop, like, lines } = told
      Object.assign(item, { id: key, estimated, drop, like, lines })
    })
  }

  function take(saved: Schemas['PlanOut'], isStored = false): void {
    found.value = saved
    if (isStored) saving.took(saved)
    else saving.opened(saved)
  }

  async function load(): Promise<void> {
    await action.run(async () => {
      const asked = id()
      await saving.save() // of the one before
      const lesson = await result(api.GET('/api/lessons/{identity}', at()))
      if (asked !== id()) return
      take(lesson)
      due.value = await result(api.GET('/api/lessons/{identity}/due', at()))
    })
  }
  watch(id, load, { immediate: true })

  /** Store what is here, then let the server change the plan and take what it gives. */
  function changedBy(change: () => Promise<Schemas['PlanOut']>): Promise<boolean> {
    return action.run(async () => {
      await saving.save()
      take(await change(), true)
      due.value = await result(api.GET('/api/lessons/{identity}/due', at()))
    })
  }

  function move(index: number, by: number): number {
    const to = index + by
    const items = content.value.items
    if (to < 0 || to >= items.length) return index
    const [item] = items.splice(index, 1)
    if (item) items.splice(to, 0, item)
    return to
  }

  async function add(example: string): Promise<void> {
    await action.run(async () => {
      const path = { identity: example }
      const added = await result(api.GET('/api/examples/{identity}', { params: { path } }))
      content.value.items.push(newItem(added))
    })
  }

  /** Write the first move of a starred item as the core works it, where nothing is written yet. */
  async function suggest(item: number): Promise<void> {
    const moves = await result(api.GET('/api/lessons/{identity}/first-moves', at())).catch(
      () => [], // it is typed then
    )
    const says = moves.find((one) => one.item === item)?.says
    const starred = content.value.items.find((one) => one.id === item)
    if (says && starred?.star && !starred.first_move) starred.first_move = says.slice(0, 200)
  }

  return { content, found, due, action, saving, opened, load, changedBy, move, add, at, suggest }
}

function newItem(example: Schemas['ExampleOut']): Item {
  const { id, title, task, given } = example
  return {
    ...{ id: 0, example: id, title, task, given, reads: null, role: 'shown', note: '' },
    ...{ star: false, first_move: '', minutes: null, estimated: 0, lines: 0, like: null },
    ...{ drop: false, purpose: '', error: '', error_name: '', held: null, done: false },
    ...{ seconds: 0, shown: 0, of: 0, hands: [], forks: [] },
  }
}

export type OneLesson = ReturnType<typeof useLesson>
