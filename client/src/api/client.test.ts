import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { api, Refusal, result, signedOut } from './client'

function reply(status: number, body: unknown): void {
  vi.stubGlobal('fetch', () =>
    Promise.resolve(
      new Response(JSON.stringify(body), {
        status,
        headers: { 'Content-Type': 'application/json' },
      }),
    ),
  )
}

async function refused(): Promise<Refusal> {
  try {
    await result(api.GET('/api/house'))
  } catch (refusal) {
    return refusal as Refusal
  }
  throw new Error('nothing was refused')
}

beforeEach(() => (signedOut.value = false))
afterEach(() => void vi.unstubAllGlobals())

test('data come back as they are', async () => {
  reply(200, { juxtaposition: 'equal', density: 'board' })

  expect(await result(api.GET('/api/house'))).toEqual({ juxtaposition: 'equal', density: 'board' })
})

test('a refusal keeps code, message, place and body', async () => {
  reply(422, { code: 'unreadable', message: 'Too early.', at: 4 })

  const refusal = await refused()

  expect(refusal).toMatchObject({ status: 422, code: 'unreadable', message: 'Too early.', at: 4 })
  expect(signedOut.value).toBe(false)
})

test('an ended session raises the sign-in; a wrong password does not', async () => {
  reply(401, { code: 'wrong-password', message: 'No.', at: null })
  await refused()
  expect(signedOut.value).toBe(false)
  reply(401, { code: 'signed-out', message: 'Sign in again.', at: null })
  await refused()

  expect(signedOut.value).toBe(true)
})

test('no answer at all is a refusal of its own', async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('failed')))

  expect(await refused()).toMatchObject({ status: 0, code: 'network' })
})

test('a call that was given up is not a refusal', async () => {
  vi.stubGlobal('fetch', () => Promise.reject(new DOMException('given up', 'AbortError')))

  await expect(result(api.GET('/api/house'))).rejects.toBeInstanceOf(DOMException)
})

test('every call carries the CSRF token of the cookie', async () => {
  document.cookie = 'csrftoken=abc123'
  const seen: string[] = []
  vi.stubGlobal('fetch', (request: Request) => {
    seen.push(request.headers.get('X-CSRFToken') ?? '')
    return Promise.resolve(new Response('{}', { status: 200 }))
  })

  await result(api.GET('/api/house'))

  expect(seen).toEqual(['abc123'])
})

test('a server that is busy with our own calls is asked again; a locked name is not', async () => {
  vi.useFakeTimers()
  const codes = ['busy', 'busy', 'done', 'locked', 'never asked']
  const asked = vi.fn(() => {
    const code = codes.shift()
    const status = code === 'done' ? 200 : 429
    const headers = { 'Content-Type': 'application/json' }
    return Promise.resolve(
      new Response(JSON.stringify({ code, message: 'm' }), { status, headers }),
    )
  })
  vi.stubGlobal('fetch', asked)

  const found = result(api.GET('/api/house'))
  await vi.advanceTimersByTimeAsync(5000)
  expect(await found).toMatchObject({ code: 'done' })
  expect(await refused()).toMatchObject({ status: 429, code: 'locked' })
  expect(asked).toHaveBeenCalledTimes(4)
  vi.useRealTimers()
})
