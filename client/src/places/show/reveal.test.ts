import { describe, expect, it } from 'vitest'
import { ask, back, beside, fork, mark, next, START } from './reveal'

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

  it('draws the marks of the coming line one after another, and takes them back one by one', () => {
    let now = next(START, 3)
    for (let step = 0; step < 4; step += 1) now = mark(now, 2)
    expect(now.drawn).toBe(2)
    expect(ask(now, 3).drawn).toBe(2) // what is drawn stays while the class thinks
    expect(fork(now, 1).drawn).toBe(2)
    now = back(now)
    expect([now.drawn, now.shown]).toEqual([1, 1])
    expect(next(now, 3)).toEqual({ ...START, shown: 2 }) // the next line has its own marks
    expect(back(back(now))).toEqual(START)
    expect(mark(START, 0).drawn).toBe(0)
  })

  it('opens side work piece by piece, alone, and puts it away after the last', () => {
    const opened = []
    let now = fork(mark(START, 1), 1)
    for (let step = 0; step < 4; step += 1) {
      now = beside(now, 2)
      opened.push(now.beside)
      expect([now.fork, now.asking, now.drawn]).toEqual([null, false, 1])
    }
    expect(opened).toEqual([0, 1, null, 0])
    expect(back(now)).toEqual({ ...START, drawn: 1 })
    expect(beside(START, 0).beside).toBeNull()
    expect(next(now, 3).beside).toBeNull()
  })
})
