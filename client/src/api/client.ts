/** The typed client of the API; every refusal becomes a `Refusal`. */
import createClient from 'openapi-fetch'
import { ref } from 'vue'
import { words } from '@/texts/en'
import type { components, paths } from './schema'

export type Schemas = components['schemas']

/** What the server (or the lack of it) answered instead of a result. `status` 0: no answer. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    readonly code: string,
    message: string,
    readonly at: number | null = null,
    readonly body: unknown = null,
  ) {
    super(message)
  }
}

/** True while a call was refused because the session has ended. */
export const signedOut = ref(false)

function csrfToken(): string {
  return /(?:^|; )(?:__Host-)?csrftoken=([^;]+)/.exec(document.cookie)?.[1] ?? ''
}

/** Milliseconds before a call is made again that the server was too busy with others of ours for. */
const BUSY_PAUSES = [300, 1000, 3000]

async function isBusy(reply: Response): Promise<boolean> {
  if (reply.status !== 429) return false
  const body = (await reply
    .clone()
    .json()
    .catch(() => ({}))) as { code?: string }
  return body.code === 'busy'
}

export const api = createClient<paths>({
  baseUrl: '/',
  credentials: 'same-origin',
  fetch: async (request: Request) => {
    request.headers.set('X-CSRFToken', csrfToken())
    for (const pause of BUSY_PAUSES) {
      const reply = await fetch(request.clone())
      if (!(await isBusy(reply))) return reply
      await new Promise((resolve) => setTimeout(resolve, pause))
    }
    return fetch(request)
  },
})

interface Reply<T> {
  data?: T
  error?: unknown
  response: Response
}

/** Return the data of a call, or throw its `Refusal`; a 401 also raises the sign-in. */
export async function result<T>(call: Promise<Reply<T>>): Promise<T> {
  let reply: Reply<T>
  try {
    reply = await call
  } catch (cause) {
    if (cause instanceof DOMException && cause.name === 'AbortError') throw cause
    throw new Refusal(0, 'network', words.failures.network)
  }
  if (reply.response.ok) return reply.data as T
  const body = (reply.error ?? {}) as Partial<Schemas['FailureRecord']>
  if (reply.response.status === 401 && body.code === 'signed-out') signedOut.value = true
  throw new Refusal(
    reply.response.status,
    body.code ?? 'unknown',
    body.message ?? words.failures.network,
    body.at ?? null,
    reply.error,
  )
}
