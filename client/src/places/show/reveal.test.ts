import { describe, expect, it } from 'vitest'
import { ask, back, fork, next, START } from './reveal'

describe('revealing an example', () => {
  it('goes line by line and stops at the end', () => {
    let now = START
    for (let step = 0; step < 5; step += 1) now = next(now, 3)
    expect(now.shown).toBe(3)
    for (let step = 0; step < 5; step += 1) now = back(now)
    expect(now).toEqual(START)
  })

  it('asks only while something is left, and the answer closes the question', () => {
    const asked = ask(START, 1)
    expect(asked.asking).toBe(true)
    expect(ask(asked, 1).asking).toBe(false)
    expect(next(asked, 1)).toEqual({ ...START, shown: 1 })
    expect(ask(next(asked, 1), 1).asking).toBe(false)
  })

  it('opens each fork, strikes it, and goes on to the next', () => {
    const seen = []
    let now = START
    for (let step = 0; step < 5; step += 1) {
      now = fork(now, 2)
      seen.push(now.fork)
    }
    expect(seen).toEqual([
      { index: 0, struck: false },
      { index: 0, struck: true },
      { index: 1, struck: false },
      { index: 1, struck: true },
      null,
    ])
    expect(fork(START, 0).fork).toBeNull()
  })

  it('takes back the fork or the question before the line', () => {
    const line = next(START, 2)
    expect(back(fork(line, 1))).toEqual(line)
    expect(back(ask(line, 2))).toEqual(line)
  })
})
