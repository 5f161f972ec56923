/** What the core knows of a set's problems: asked for one by one, and again where it took too long. */
import { onScopeDispose, ref } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { isPassing } from '@/api/queries'

/** Being worked, not finished in time and tried again, or given up for now. */
export type Waiting = 'asked' | 'again' | 'late'

/** Milliseconds before the next try; after the last it is given up until the set is opened anew. */
const PAUSES = [1000, 3000, 8000]

/** @param id the set's id, as a getter */
export function useFacts(id: () => string) {
  const facts = ref<Record<string, Schemas['Facts']>>({})
  const waiting = ref<Record<string, Waiting>>({})
  const timers = new Set<ReturnType<typeof setTimeout>>()

  /** Take what is known of an item, or ask for it: worked, and which errors it reveals or hides. */
  async function learn(item: Schemas['ItemOut']): Promise<void> {
    const example = item.example.id
    if (facts.value[example] || waiting.value[example]) return
    if (item.facts) return void (facts.value[example] = item.facts)
    waiting.value[example] = 'asked'
    await ask(example, 0)
  }

  async function ask(example: string, tries: number): Promise<void> {
    try {
      const path = { identity: id(), example }
      facts.value[example] = await result(
        api.GET('/api/sets/{identity}/facts/{example}', { params: { path } }),
      )
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      if (isPassing(reason)) return later(example, tries)
      if (reason.status !== 404)
        facts.value[example] = { refused: reason.message } as Schemas['Facts']
    }
    delete waiting.value[example]
  }

  function later(example: string, tries: number): void {
    const pause = PAUSES[tries]
    waiting.value[example] = pause === undefined ? 'late' : 'again'
    if (pause === undefined) return
    const timer = setTimeout(() => {
      timers.delete(timer)
      void ask(example, tries + 1)
    }, pause)
    timers.add(timer)
  }

  function forget(): void {
    timers.forEach((timer) => clearTimeout(timer))
    timers.clear()
    facts.value = {}
    waiting.value = {}
  }

  onScopeDispose(forget)

  return { facts, waiting, learn, forget }
}
