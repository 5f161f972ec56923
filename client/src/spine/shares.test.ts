import { expect, test } from 'vitest'
import { roomFor, sharesOf } from './shares'

const share = (...texts: string[]) =>
  [sharesOf(texts)['--left-share'], sharesOf(texts)['--right-share']].map((one) =>
    parseFloat(one ?? '0'),
  )

test('the longer side gets more of the width, neither gets next to nothing', () => {
  const [left = 0, right = 0] = share('3(2x-5)-4(x-1)+7 = 7', 'x = 9')
  expect(left).toBeGreaterThan(right)
  expect(right / (left + right)).toBeGreaterThanOrEqual(0.36)
  const [short = 0, long = 0] = share('7 = 3(2x-5)-4(x-1)+7')
  expect(short).toBeCloseTo(right)
  expect(long).toBeCloseTo(left)
})

test('short sides, expressions and lines that divide the spine leave it as it is', () => {
  expect(sharesOf(['sqrt(x + 6) = x'])).toEqual({})
  expect(sharesOf(['(x+3)(x-3)/(x^2+5x+6)*(x+2)/(2x-6)'])).toEqual({})
  expect(sharesOf(['3(2x-5)-4(x-1)+7 = 7', 'x = 3 or x = -2'])).toEqual({})
  expect(sharesOf(['3(2x-5)-4(x-1)+7 = 7', 'x = 1 ± sqrt(2)'])).toEqual({})
  expect(roomFor(['(x+3)(x-3)'])).toBe(0)
})

test('how much room lines need grows with their longest side', () => {
  const room = (left: string) => roomFor([`${left} = 7`])
  expect(room('3(2x-5)-4(x-1)+7')).toBeGreaterThan(room('3(2x-5)-4x'))
  expect(room('2x')).toBe(8) // short sides share the width in halves
})
