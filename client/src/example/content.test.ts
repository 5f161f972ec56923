import { expect, test } from 'vitest'
import { blank, copyOf, isBlank, isSame } from './content'

test('a copy is the same and shares nothing', () => {
  const content = { ...blank(), given: '2x=6', lines: ['x=3'] }
  const copy = copyOf(content)

  expect(isSame(copy, content)).toBe(true)
  copy.lines.push('x=4')

  expect(content.lines).toEqual(['x=3'])
  expect(isBlank(content)).toBe(false)
})
