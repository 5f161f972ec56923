/** A stand-in for the server in unit tests: answers by path, and remembers what was asked. */
import { vi } from 'vitest'
import { createApp, effectScope, nextTick } from 'vue'
import { queries } from './shown'

export interface Asked {
  method: string
  path: string
  query?: string
  body: Record<string, unknown>
}

type Answer = (asked: Asked) => { status?: number; body: unknown } | Promise<never>

/** Replace `fetch`; return the list of calls, which grows. */
export function fakeServer(answer: Answer): Asked[] {
  const calls: Asked[] = []
  vi.stubGlobal('fetch', async (request: Request) => {
    const text = await request.clone().text()
    const asked = {
      method: request.method,
      path: new URL(request.url).pathname,
      query: new URL(request.url).search,
      body: text ? JSON.parse(text) : {},
    }
    calls.push(asked)
    const { status = 200, body } = await answer(asked)
    return new Response(status === 204 ? null : JSON.stringify(body), {
      status,
      headers: { 'Content-Type': 'application/json' },
    })
  })
  return calls
}

/** Run a composable as a component would; `leave` ends it. */
export function entered<T>(use: () => T): { value: T; leave: () => void } {
  const scope = effectScope()
  const app = createApp({}).use(...queries())
  const value = app.runWithContext(() => scope.run(use)) as T
  return { value, leave: () => scope.stop() }
}

/** Let pending promises and timers of a test run. */
export async function settled(milliseconds = 0): Promise<void> {
  await vi.advanceTimersByTimeAsync(milliseconds)
  await nextTick()
}

/** A judged line as the server sends it. */
export function judged(text: string, verdict: string, more: object = {}): object {
  return {
    text,
    verdict,
    if: [],
    adds: [],
    drops: [],
    unmet: [],
    role: 'chain',
    back: false,
    struck: false,
    sides: { left: 'x', sign: '=', right: text },
    spoken: text,
    ...more,
  }
}
