import { expect, test } from 'vitest'
import { Refusal } from './client'
import { isPassing, newQueryClient, saidOf } from './queries'
import { useAction } from './useAction'

test('an action says why it failed and can be done again', async () => {
  const { busy, refusal, run, again } = useAction()
  let fails = true
  let times = 0
  const action = async () => {
    times += 1
    expect(busy.value).toBe(true)
    if (fails) throw new Refusal(503, 'away', 'The database does not answer.')
  }

  expect(await run(action)).toBe(false)
  expect([refusal.value, busy.value]).toEqual(['The database does not answer.', false])
  fails = false
  expect(await again()).toBe(true)
  expect([refusal.value, times]).toEqual(['', 2])
})

test('a fault of ours is not told as if it were a refusal', async () => {
  const { busy, refusal, run } = useAction()
  await expect(run(() => Promise.reject(new TypeError('x')))).rejects.toThrow(TypeError)
  expect([refusal.value, busy.value]).toEqual(['', false])
  expect(() => saidOf(new TypeError('x'))).toThrow(TypeError)
  expect(saidOf(null)).toBe('')
})

test.each([
  [0, true],
  [429, true],
  [503, true],
  [504, true],
  [404, false],
  [422, false],
  [500, false],
])('what was refused with %i is asked for again by itself: %s', (status, again) => {
  const reason = new Refusal(status, 'x', 'x')
  expect(isPassing(reason)).toBe(again)
  const retry = newQueryClient().getDefaultOptions().queries?.retry as (
    tries: number,
    reason: Error,
  ) => boolean
  expect([retry(0, reason), retry(3, reason)]).toEqual([again, false])
})
