import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { entered, fakeServer, settled, type Asked } from '@/shared/testing/server'
import { useHeld } from './useHeld'

beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
})
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const item = (id: number, more: object = {}) => ({
  ...{ id, example: `e${id}`, role: 'shown', done: false, seconds: 0, shown: 0, of: 0 },
  ...{ hands: [], forks: [], ...more },
})
const begun = '2026-11-30T09:00:00Z'
const lesson = () => ({
  id: 'l',
  begun,
  items: [item(1, { done: true }), item(2, { role: 'skipped' }), item(3), item(4)],
})

let isAway = false
function server({ path }: Asked) {
  if (isAway && path.endsWith('/held'))
    return {
      status: 503,
      body: { code: 'away', message: 'The database does not answer.', at: null },
    }
  if (path.endsWith('/held')) return { status: 204, body: null }
  return { body: lesson() }
}

async function held() {
  isAway = false
  const calls = fakeServer(server)
  const { value, leave } = entered(() => useHeld('l'))
  await value.load()
  const sent = () => calls.filter(({ path }) => path.endsWith('/held'))
  return { lesson: value, leave, sent }
}

test('a lesson goes on at the first item that was not shown to its end; what is skipped is not shown', async () => {
  const { lesson: one, leave } = await held()
  expect(one.items.value.map(({ id }) => id)).toEqual([1, 3, 4])
  expect(one.item.value?.id).toBe(3)
  leave()
})

test('what is shown, opened and counted is stored once a moment, and nothing of it goes back', async () => {
  const { lesson: one, leave, sent } = await held()
  one.shown(2, 5)
  one.shown(1, 5)
  one.forked({ after: 0, error: 'e', name: 'Signs' } as never)
  one.forked({ after: 0, error: 'e', name: 'Signs' } as never)
  const answer = { label: 'A', text: 'x', latex: '', right: true, error: '', name: '', count: 3 }
  one.raised({ after: 0, kind: 'choices', counts: [answer] })
  one.raised({ after: 0, kind: 'choices', counts: [{ ...answer, count: 4 }] })
  await settled(600)
  expect(sent()).toHaveLength(1)
  expect(sent()[0]?.path).toBe('/api/lessons/l/items/3/held')
  expect(sent()[0]?.body).toMatchObject({
    shown: 2,
    lines: 5,
    forks: [{ error: 'e' }],
    hands: [{ counts: [{ count: 4 }] }],
  })
  expect(one.unsaved.size).toBe(0)
  leave()
})

test('the seconds of an item count while it is shown, and go with it', async () => {
  const { lesson: one, leave, sent } = await held()
  await settled(3000)
  one.go(2)
  await settled(2000)
  one.shown(1, 2)
  await settled(600)
  const seconds = new Map(sent().map(({ path, body }) => [path.split('/').at(-2), body['seconds']]))
  expect(seconds.get('3')).toBe(3)
  expect(seconds.get('4')).toBe(2)
  leave()
})

test('without the server it is kept in this browser and sent when it answers, also after a reload', async () => {
  const { lesson: one, leave, sent } = await held()
  isAway = true
  one.shown(4, 5)
  await settled(600)
  expect(one.unsaved.size).toBe(1)
  leave()
  await settled(100)
  const next = await held()
  expect(next.lesson.held.get(3)?.shown).toBe(4)
  await settled(600)
  expect(next.sent().at(-1)?.body).toMatchObject({ shown: 4 })
  expect(next.lesson.unsaved.size).toBe(0)
  expect(sent().length).toBeGreaterThan(0)
  next.leave()
})

test('a lesson ends only when all of it is stored', async () => {
  const { lesson: one, leave } = await held()
  isAway = true
  one.shown(4, 5)
  expect(await one.end()).toBe(false)
  isAway = false
  await settled(3100)
  expect(await one.end()).toBe(true)
  leave()
})
