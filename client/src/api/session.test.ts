import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer } from '@/shared/testing/server'
import { api } from './client'
import { signOut, username } from './session'

afterEach(() => {
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
})

test('signing out reaches the server where the page is left at once', async () => {
  const calls = fakeServer(() => ({ body: { username: '' } }))
  const ended = vi.spyOn(api, 'DELETE')

  await signOut()

  expect(calls.map(({ method, path }) => `${method} ${path}`)).toEqual([
    'DELETE /api/session',
    'GET /api/session',
  ])
  expect(ended).toHaveBeenCalledWith('/api/session', { keepalive: true }) // else it may go with the page
  expect(username.value).toBe('')
})
