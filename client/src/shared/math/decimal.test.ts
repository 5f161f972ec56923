import { afterEach, expect, test } from 'vitest'
import { setDecimal, withDecimals } from './decimal'

afterEach(() => setDecimal('point'))

test('decimals are typeset with the sign of the house rule, and nothing else changes', () => {
  expect(withDecimals('x=1.5')).toBe('x=1.5')

  setDecimal('comma')

  expect(withDecimals('x=1.5,\\; 2.25')).toBe('x=1{,}5,\\; 2{,}25')
  expect(withDecimals('\\text{so. 3}')).toBe('\\text{so. 3}')
})
