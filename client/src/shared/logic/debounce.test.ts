import { expect, test, vi } from 'vitest'
import { later } from './debounce'

test('many calls become one, after the pause', () => {
  vi.useFakeTimers()
  const action = vi.fn()
  const call = later(action, 100)

  call()
  vi.advanceTimersByTime(60)
  call()
  vi.advanceTimersByTime(60)
  expect(action).not.toHaveBeenCalled()
  vi.advanceTimersByTime(40)

  expect(action).toHaveBeenCalledTimes(1)
})

test('a flush makes a due call at once, and only a due one', () => {
  vi.useFakeTimers()
  const action = vi.fn()
  const call = later(action, 100)

  call.flush()
  expect(action).not.toHaveBeenCalled()
  call()
  call.flush()
  vi.advanceTimersByTime(200)

  expect(action).toHaveBeenCalledTimes(1)
})
