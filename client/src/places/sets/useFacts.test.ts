import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import type { Schemas } from '@/api/client'
import { entered, fakeServer, settled } from '@/shared/testing/server'
import { useFacts } from './useFacts'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const item = (id: string) => ({ example: { id } }) as Schemas['ItemOut']
const refusal = (status: number) => ({
  status,
  body: { code: 'c', message: `${status}`, at: null },
})

/** The server answers each example by what is next in its row: facts, or late. */
function worked(rows: Record<string, (object | 'late')[]>) {
  return fakeServer(({ body }) => {
    const facts: Record<string, object> = {}
    const late: string[] = []
    for (const one of (body as { examples: string[] }).examples) {
      const next = rows[one]?.shift() ?? 'late'
      if (next === 'late') late.push(one)
      else facts[one] = next
    }
    return { body: { facts, late } }
  })
}

test('what is being worked, what is tried again, and what cannot be worked are three things', async () => {
  worked({ slow: ['late', 'late', { refused: '', answer: 'x = 1' }], never: [{ refused: 'no' }] })
  const { value: known, leave } = entered(() => useFacts(() => 's'))

  known.learn([item('slow'), item('never')])
  expect(known.waiting.value).toEqual({ slow: 'asked', never: 'asked' })
  await settled(10)
  expect(known.waiting.value).toEqual({ slow: 'again' })
  expect(known.facts.value['never']?.refused).toBe('no')
  await settled(5000)
  expect(known.waiting.value).toEqual({})
  expect(known.facts.value['slow']?.answer).toBe('x = 1')
  leave()
})

test('a set of forty is asked for in ten calls, and what is known already in none', async () => {
  const forty = Array.from({ length: 40 }, (_, n) => item(`${n}`))
  const rows = Object.fromEntries(forty.map((one) => [one.example.id, [{ answer: 'x = 1' }]]))
  const calls = worked(rows)
  const { value: known, leave } = entered(() => useFacts(() => 's'))
  known.learn([...forty, { ...item('known'), facts: { answer: '2' } } as Schemas['ItemOut']])
  await settled(100)
  expect(calls).toHaveLength(10)
  expect(Object.keys(known.facts.value)).toHaveLength(41)
  leave()
})

test('a server that is away is asked again for all of them', async () => {
  let away = true
  fakeServer(() => (away ? refusal(503) : { body: { facts: { a: {}, b: {} }, late: [] } }))
  const { value: known, leave } = entered(() => useFacts(() => 's'))
  known.learn([item('a'), item('b')])
  await settled(10)
  expect(known.waiting.value).toEqual({ a: 'again', b: 'again' })
  away = false
  await settled(2000)
  expect(Object.keys(known.facts.value)).toEqual(['a', 'b'])
  leave()
})

test('a refusal of a whole call is told of each; a set that is gone says nothing', async () => {
  fakeServer(() => refusal(422))
  const { value: known, leave } = entered(() => useFacts(() => 's'))
  known.learn([item('a'), item('b')])
  await settled(10)
  expect([known.facts.value['a']?.refused, known.facts.value['b']?.refused]).toEqual(['422', '422'])
  expect(known.waiting.value).toEqual({})
  fakeServer(() => refusal(404))
  known.learn([item('c')])
  await settled(10)
  expect(known.facts.value['c']).toBeUndefined()
  leave()
})

test('what is never finished is given up, and asked for again when the set is opened anew', async () => {
  const calls = worked({})
  const { value: known, leave } = entered(() => useFacts(() => 's'))

  known.learn([item('slow')])
  await settled(60_000)
  expect(known.waiting.value).toEqual({ slow: 'late' })
  expect(calls).toHaveLength(4)
  known.forget()
  known.learn([item('slow')])
  await settled(10)
  expect(calls).toHaveLength(5)
  leave()
})

test('nobody asks on when the set is left', async () => {
  const calls = worked({})
  const { value: known, leave } = entered(() => useFacts(() => 's'))
  known.learn([item('slow')])
  await settled(10)
  leave()
  await settled(60_000)
  expect(calls).toHaveLength(1)
})
