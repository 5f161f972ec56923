import { expect, test } from 'vitest'
import { readable } from './readable'

test.each([
  ['20 - 4^2 ÷ (-2)', '20 − 4² ÷ (−2)'],
  ['x != -3', 'x ≠ −3'],
  ['2*x^(-10)', '2 · x⁻¹⁰'],
  ['3 +- 2', '3 ± 2'],
  ['x >= -6', 'x ≥ −6'],
  ['x = 3 - 2sqrt(5)', 'x = 3 − 2√5'],
  ['sqrt(x + 1)', '√(x + 1)'],
  ['sqrt(2^2 - 3^2)', '√(2² − 3²)'],
  ['120"km"', '120 km'],
  ['60"km"/h*2*h', '60 km/h · 2 · h'],
])('%s reads %s', (typed, read) => {
  expect(readable(typed)).toBe(read)
})
