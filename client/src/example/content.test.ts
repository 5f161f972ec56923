import { expect, test } from 'vitest'
import { blank, copyOf, guessedTask, isBlank, isSame } from './content'

test.each([
  ['5x - 3 = 2x + 12', 'solve', 'solve'],
  ['18 - 3*(7-2)', 'solve', 'evaluate'],
  ['3(2x+1)', 'solve', 'simplify'],
  ['(x+1)^2', 'expand', 'expand'],
  ['sqrt(28)', 'solve', 'evaluate'],
  ['x != 3', 'simplify', 'simplify'],
] as const)('%s, posed under “%s”, asks to %s', (given, before, task) => {
  expect(guessedTask(given, before)).toBe(task)
})

test('a copy is the same and shares nothing', () => {
  const content = { ...blank(), given: '2x=6', lines: ['x=3'] }
  const copy = copyOf(content)

  expect(isSame(copy, content)).toBe(true)
  copy.lines.push('x=4')

  expect(content.lines).toEqual(['x=3'])
  expect(isBlank(content)).toBe(false)
})
