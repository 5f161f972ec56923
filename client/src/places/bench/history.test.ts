import { expect, test } from 'vitest'
import { emptyHistory, redone, remembered, undone } from './history'

test('undoing and redoing every change comes back to the same state', () => {
  const states = ['a', 'ab', 'abc']
  let history = emptyHistory<string>()
  let now = ''
  for (const next of states) {
    history = remembered(history, now)
    now = next
  }

  const seen = []
  for (let step = undone(history, now); step; step = undone(history, now)) {
    ;({ history, state: now } = step)
    seen.push(now)
  }
  expect(seen).toEqual(['ab', 'a', ''])
  for (let step = redone(history, now); step; step = redone(history, now)) {
    ;({ history, state: now } = step)
  }

  expect(now).toBe('abc')
})

test('a new change forgets what was undone', () => {
  let history = remembered(remembered(emptyHistory<number>(), 1), 2)
  history = undone(history, 3)!.history

  history = remembered(history, 2)

  expect(redone(history, 4)).toBeNull()
})

test('there is nothing to undo at the beginning', () => {
  expect(undone(emptyHistory<number>(), 1)).toBeNull()
})
