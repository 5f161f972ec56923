import { describe, expect, it } from 'vitest'
import { climbing, jumps, repeats, shapeOf } from './climb'

const steps = (...scores: (number | null)[]) =>
  scores.map((score) => ({ score, shape: `${score}` }))

describe('the climb of a set', () => {
  it('names a jump where it rises too far at once, and nothing else', () => {
    expect(jumps(steps(2, 4, 6, 20, 21))).toEqual([3])
    expect(jumps(steps(2, 4, 6, 8))).toEqual([])
    expect(jumps(steps(20, 2, 19))).toEqual([])
    expect(jumps(steps(null, 3))).toEqual([])
    expect(jumps([])).toEqual([])
  })

  it('finds the same exercise with other letters and numbers', () => {
    expect(shapeOf('3x + 4 = 10')).toBe(shapeOf('12y+5=2'))
    expect(shapeOf('3x - 4 = 10')).not.toBe(shapeOf('3x + 4 = 10'))
    expect(shapeOf('sqrt(2)')).not.toBe(shapeOf('x(2)'))
    expect(repeats([...steps(1, 2), { score: 5, shape: '1' }])).toEqual([null, null, 0])
  })

  it('orders from easy to hard and keeps what cannot be worked last', () => {
    expect(climbing(steps(9, null, 2, 9, 4))).toEqual([2, 4, 0, 3, 1])
  })
})
