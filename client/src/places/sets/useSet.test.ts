import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { entered, fakeServer, settled, type Asked } from '@/shared/testing/server'
import { ref } from 'vue'
import { useSet } from './useSet'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => {
  localStorage.clear()
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const example = (id: string, given: string) => ({ id, title: id, task: 'solve', given, lines: [] })
const facts = (given: string) => ({
  difficulty: { score: given.length, reasons: [] },
  reads: { text: given, latex: given, sides: {}, spoken: given },
})

function server() {
  const stored = {
    title: 'Sheet',
    instruction: '',
    version: 1,
    items: ['x=1', '3x+4=10', '2x=4'].map((given, n) => ({
      example: example(`e${n}`, given),
      marks: null,
      minutes: null,
    })),
  }
  return ({ method, path, body }: Asked) => {
    if (path.endsWith('/facts')) {
      const givens = { e0: 'x=1', e1: '3x+4=10', e2: '2x=4' }
      const found = Object.entries(givens).map(([one, given]) => [one, facts(given)])
      return { body: { facts: Object.fromEntries(found), late: [] } }
    }
    if (method === 'PUT') {
      if (body['version'] !== stored.version) {
        const current = { id: 's', changed: '', ...stored }
        return { status: 409, body: { code: 'stale', message: 'Changed elsewhere.', current } }
      }
      stored.version += 1
    }
    return { body: { id: 's', changed: '', ...stored } }
  }
}

test('many changes in a row are saved one after the other, each on the version before', async () => {
  const calls = fakeServer(server())
  const { value: set, leave } = entered(() => useSet(() => 's'))
  await settled(20)

  set.move(0, 1)
  await settled(420)
  set.content.value.title = 'Other'
  await settled(420)
  set.climb()
  await settled(600)

  expect(set.saving.state.value).toBe('saved')
  const saves = calls.filter((call) => call.method === 'PUT').map((call) => call.body)
  expect(saves.map((body) => body['version'])).toEqual([1, 2, 3])
  expect(set.items.value.map((item) => item.example.given)).toEqual(['x=1', '2x=4', '3x+4=10'])
  expect(set.steps.value.map((step) => step.score)).toEqual([3, 4, 7])
  leave()
})

test('a change made elsewhere is said and not overwritten', async () => {
  const answer = server()
  const calls = fakeServer(answer)
  const { value: set, leave } = entered(() => useSet(() => 's'))
  await settled(20)
  answer({ method: 'PUT', path: '/api/sets/s', body: { version: 1 } })

  set.move(0, 1)
  await settled(600)
  set.content.value.title = 'Typed meanwhile'
  await settled(600)

  expect(set.saving.state.value).toBe('conflict')
  expect(calls.filter((call) => call.method === 'PUT')).toHaveLength(1)
  leave()
})

test('what was not stored is still there after a reload, and is stored then', async () => {
  const calls = fakeServer(server())
  const first = entered(() => useSet(() => 's'))
  await settled(20)
  first.value.move(0, 2)
  await settled(1) // the window goes before anything is sent

  const again = entered(() => useSet(() => 's'))
  await settled(800)

  const givens = again.value.items.value.map((item) => item.example.given)
  expect(givens).toEqual(['3x+4=10', '2x=4', 'x=1'])
  expect(calls.some((call) => call.method === 'PUT')).toBe(true)
  first.leave()
  again.leave()
})

test('what the server makes of the set is made on what is here, and taken over', async () => {
  const calls = fakeServer(server())
  const { value: set, leave } = entered(() => useSet(() => 's'))
  await settled(20)
  set.content.value.title = 'Typed just now'
  await settled(1)

  const made = set.changedBy(async () => ({
    added: 1,
    set: { id: 's', title: 'With one more', instruction: '', version: 7, items: [] } as never,
  }))
  await settled(300)

  expect((await made).added).toBe(1)
  expect(calls.filter((call) => call.method === 'PUT').map((call) => call.body['title'])).toEqual([
    'Typed just now',
  ])
  expect(set.content.value.title).toBe('With one more')
  expect(set.saving.state.value).toBe('saved')
  leave()
})

test('a change of one set is stored in that set, also when another one is opened at once', async () => {
  const answer = server()
  const calls = fakeServer(answer)
  const id = ref('s')
  const { value: set, leave } = entered(() => useSet(() => id.value))
  await settled(20)
  set.content.value.title = 'Typed just now'
  await settled(1)

  id.value = 'other'
  await settled(1000)

  const stored = calls.filter((call) => call.method === 'PUT')
  expect(stored.map(({ path, body }) => [path, body['title']])).toEqual([
    ['/api/sets/s', 'Typed just now'],
  ])
  leave()
})
