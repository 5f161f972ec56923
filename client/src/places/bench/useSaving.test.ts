import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { ref } from 'vue'
import { signedOut, type Schemas } from '@/api/client'
import { blank, type Content } from '@/example/content'
import { entered, fakeServer, settled } from '@/shared/testing/server'
import { keptContent, useSaving } from './useSaving'

const STORED: Schemas['ExampleOut'] = {
  id: '00000000-0000-0000-0000-000000000001',
  title: 'One',
  task: 'solve',
  given: '2x = 6',
  variable: '',
  numbers: 'real',
  form: [],
  house: {},
  note: '',
  reasons: {},
  lines: ['x = 3'],
  version: 4,
  changed: '2026-01-01T00:00:00Z',
}

beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
  signedOut.value = false
})
afterEach(() => void vi.unstubAllGlobals())

function saving(start: Content) {
  const content = ref(start)
  const draft = ref('')
  const created = vi.fn()
  const { value, leave } = entered(() => useSaving(content, draft, created))
  return { content, draft, created, saving: value, leave }
}

function opened() {
  const { id, version, changed, ...content } = STORED
  void [id, version, changed]
  const found = saving(content as Content)
  found.saving.opened(STORED)
  return found
}

test('a change is stored after a pause, on the version that was seen', async () => {
  const calls = fakeServer(({ body }) => ({ body: { ...STORED, ...body, version: 5 } }))
  const { content, saving } = opened()

  content.value = { ...content.value, lines: ['x = 6/2'] }
  await settled(0)
  expect(saving.state.value).toBe('waiting')
  await settled(600)

  expect(saving.state.value).toBe('saved')
  expect(saving.version.value).toBe(5)
  expect(calls).toHaveLength(1)
  expect(calls[0]).toMatchObject({ method: 'PUT', body: { version: 4, lines: ['x = 6/2'] } })
})

test('a blank example is stored when something is written, and gets its address', async () => {
  const calls = fakeServer(() => ({ status: 201, body: STORED }))
  const { content, created, saving } = saving_blank()
  await settled(600)
  expect(calls).toEqual([])

  content.value = { ...content.value, given: '2x = 6' }
  await settled(600)

  expect(created).toHaveBeenCalledWith(STORED.id)
  expect(saving.id.value).toBe(STORED.id)
})

function saving_blank() {
  const found = saving(blank())
  found.saving.opened(null)
  return found
}

test('while the server is away everything is kept here and tried again', async () => {
  let away = true
  const calls = fakeServer(({ body }) => {
    if (away) throw new TypeError('no network')
    return { body: { ...STORED, ...body, version: 5 } }
  })
  const { content, saving } = opened()

  content.value = { ...content.value, lines: ['x = 6/2'] }
  await settled(600)
  expect(saving.state.value).toBe('offline')
  expect(keptContent(STORED.id)?.content.lines).toEqual(['x = 6/2'])
  away = false
  await settled(3100)

  expect(saving.state.value).toBe('saved')
  expect(calls.length).toBe(2)
  expect(keptContent(STORED.id)).toBeNull()
})

test('a line that is being typed is kept here until it is written', async () => {
  fakeServer(() => ({ body: STORED }))
  const { draft } = opened()

  draft.value = 'x = '
  await settled(10)
  expect(keptContent(STORED.id)?.draft).toBe('x = ')
  draft.value = ''
  await settled(10)

  expect(keptContent(STORED.id)).toBeNull()
})

const CONFLICT = {
  code: 'stale',
  message: 'changed elsewhere',
  current: { ...STORED, lines: ['x = 30/10'], version: 7 },
}

test.each([
  [true, ['x = 6/2']],
  [false, ['x = 30/10']],
])('a change made elsewhere is never overwritten unasked (mine: %s)', async (mine, lines) => {
  const calls = fakeServer(({ body }) =>
    body.version === 4
      ? { status: 409, body: CONFLICT }
      : { body: { ...STORED, ...body, version: 8 } },
  )
  const { content, saving } = opened()
  content.value = { ...content.value, lines: ['x = 6/2'] }
  await settled(600)
  expect(saving.state.value).toBe('conflict')
  content.value = { ...content.value, title: 'still typing' }
  await settled(5000)
  expect(calls).toHaveLength(1)

  const theirs = saving.settle(mine)
  if (!mine && theirs) content.value = theirs
  await settled(600)

  expect(saving.state.value).toBe('saved')
  expect(content.value.lines).toEqual(lines)
  expect(calls.slice(1).map((call) => call.body.version)).toEqual(mine ? [7] : [])
})

test('an ended session waits for the sign-in and then saves', async () => {
  let out = true
  const calls = fakeServer(({ body }) =>
    out
      ? { status: 401, body: { code: 'signed-out', message: 'Sign in again.', at: null } }
      : { body: { ...STORED, ...body, version: 5 } },
  )
  const { content, saving } = opened()
  content.value = { ...content.value, lines: ['x = 6/2'] }
  await settled(600)
  expect(signedOut.value).toBe(true)
  await settled(10_000)
  expect(calls).toHaveLength(1)

  out = false
  signedOut.value = false
  await settled(100)

  expect(saving.state.value).toBe('saved')
})

test('leaving the place stores what is due at once', async () => {
  const calls = fakeServer(({ body }) => ({ body: { ...STORED, ...body, version: 5 } }))
  const { content, leave } = opened()

  content.value = { ...content.value, lines: ['x = 6/2'] }
  await settled(0)
  leave()
  await settled(0)

  expect(calls).toHaveLength(1)
})
