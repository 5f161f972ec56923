/** What the server has, kept while it is looked at: one cache, one way to try again. */
import { QueryClient } from '@tanstack/vue-query'
import { Refusal } from './client'

/** No answer, too many at once, the database away, not finished in time: it may be there later. */
const PASSING = [0, 429, 502, 503, 504]
const MOST_TRIES = 3

export function isPassing(reason: unknown): boolean {
  return reason instanceof Refusal && PASSING.includes(reason.status)
}

export function newQueryClient(): QueryClient {
  return new QueryClient({
    defaultOptions: {
      queries: {
        retry: (tries, reason) => tries < MOST_TRIES && isPassing(reason),
        retryDelay: (tries) => Math.min(1000 * 3 ** tries, 8000),
        staleTime: 0,
        refetchOnWindowFocus: false,
        networkMode: 'always',
      },
      mutations: { networkMode: 'always' },
    },
  })
}

/** What a failed query or action says to a reader; '' where nothing failed. */
export function saidOf(reason: unknown): string {
  if (!reason) return ''
  if (reason instanceof Refusal) return reason.message
  throw reason
}
