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

test('what is being worked, what is tried again, and what cannot be worked are three things', async () => {
  const answers: Record<string, { status?: number; body: object }[]> = {
    slow: [refusal(504), refusal(429), { body: { refused: '', answer: 'x = 1' } }],
    never: [refusal(422)],
  }
  fakeServer(({ path }) => answers[path.split('/').at(-1) ?? '']?.shift() ?? refusal(500))
  const { value: known, leave } = entered(() => useFacts(() => 's'))

  void known.learn(item('slow'))
  void known.learn(item('never'))
  expect(known.waiting.value).toEqual({ slow: 'asked', never: 'asked' })
  await settled(10)
  expect(known.waiting.value).toEqual({ slow: 'again' })
  expect(known.facts.value['never']?.refused).toBe('422')
  await settled(5000)
  expect(known.waiting.value).toEqual({})
  expect(known.facts.value['slow']?.answer).toBe('x = 1')
  leave()
})

test('what is never finished is given up, and asked for again when the set is opened anew', async () => {
  const calls = fakeServer(() => refusal(504))
  const { value: known, leave } = entered(() => useFacts(() => 's'))

  await known.learn(item('slow'))
  await settled(60_000)
  expect(known.waiting.value).toEqual({ slow: 'late' })
  expect(calls).toHaveLength(4)
  known.forget()
  await known.learn(item('slow'))
  expect(calls).toHaveLength(5)
  leave()
})

test('nobody asks on when the set is left', async () => {
  const calls = fakeServer(() => refusal(504))
  const { value: known, leave } = entered(() => useFacts(() => 's'))
  await known.learn(item('slow'))
  leave()
  await settled(60_000)
  expect(calls).toHaveLength(1)
})
