import { expect, test } from 'vitest'
import { readable } from './readable'

test.each([
  ['20 - 4^2 ÷ (-2)', '20 − 4² ÷ (−2)'],
  ['x != -3', 'x ≠ −3'],
  ['2*x^(-10)', '2 · x⁻¹⁰'],
  ['3 +- 2', '3 ± 2'],
])('%s reads %s', (typed, read) => {
  expect(readable(typed)).toBe(read)
})
