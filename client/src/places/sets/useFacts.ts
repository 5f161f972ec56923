/** What the core knows of a set's problems: asked for a few at a time, and again where it took too long. */
import { onScopeDispose, ref } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { isPassing } from '@/api/queries'

/** Being worked, not finished in time and tried again, or given up for now. */
export type Waiting = 'asked' | 'again' | 'late'

/** Milliseconds before the next try; after the last it is given up until the set is opened anew. */
const PAUSES = [1000, 3000, 8000]
/** Problems that one call asks for, and calls at a time. */
const A_CALL = 4
const AT_ONCE = 2

/** @param id the set's id, as a getter */
export function useFacts(id: () => string) {
  const facts = ref<Record<string, Schemas['Facts']>>({})
  const waiting = ref<Record<string, Waiting>>({})
  const timers = new Set<ReturnType<typeof setTimeout>>()
  /** Examples to ask for, each with the tries before. */
  let wanted: [example: string, tries: number][] = []
  let asking = 0
  /** Grows when what was asked for is forgotten. */
  let round = 0

  /** Take what is known of the items, and ask for the others: worked, which errors each reveals or hides. */
  function learn(items: Schemas['ItemOut'][]): void {
    for (const { example, facts: known } of items) {
      if (facts.value[example.id] || waiting.value[example.id]) continue
      if (known) facts.value[example.id] = known
      else want(example.id, 0)
    }
  }

  function want(example: string, tries: number): void {
    waiting.value[example] = tries ? 'again' : 'asked'
    wanted.push([example, tries])
    if (asking < AT_ONCE) void Promise.resolve().then(askOn) // with those wanted in the same moment
  }

  async function askOn(): Promise<void> {
    if (asking >= AT_ONCE || !wanted.length) return
    const now = wanted.splice(0, A_CALL)
    const mine = round
    asking += 1
    void askOn()
    try {
      const late = await ask(now.map(([example]) => example))
      if (mine !== round) return
      for (const [example, tries] of now) {
        if (late.has(example)) later(example, tries)
        else delete waiting.value[example]
      }
    } finally {
      asking -= 1
      void askOn()
    }
  }

  /** Ask for these; return those that may be known later. */
  async function ask(examples: string[]): Promise<Set<string>> {
    const mine = round
    const params = { path: { identity: id() } }
    try {
      const found = await result(
        api.POST('/api/sets/{identity}/facts', { params, body: { examples } }),
      )
      if (mine === round) Object.assign(facts.value, found.facts)
      return new Set(found.late)
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      if (isPassing(reason)) return new Set(examples)
      if (reason.status !== 401 && reason.status !== 404 && mine === round) {
        const refused = { refused: reason.message } as Schemas['Facts']
        for (const example of examples) facts.value[example] = refused
      }
      return new Set()
    }
  }

  function later(example: string, tries: number): void {
    const pause = PAUSES[tries]
    waiting.value[example] = pause === undefined ? 'late' : 'again'
    if (pause === undefined) return
    const timer = setTimeout(() => {
      timers.delete(timer)
      want(example, tries + 1)
    }, pause)
    timers.add(timer)
  }

  function forget(): void {
    round += 1
    timers.forEach((timer) => clearTimeout(timer))
    timers.clear()
    wanted = []
    facts.value = {}
    waiting.value = {}
  }

  onScopeDispose(forget)

  return { facts, waiting, learn, forget }
}
