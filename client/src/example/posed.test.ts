import { expect, test } from 'vitest'
import { words } from '@/texts/en'
import { guessedTask, posedProblem } from './posed'

test.each([
  ['5x - 3 = 2x + 12', 'solve', 'solve'],
  ['18 - 3*(7-2)', 'solve', 'evaluate'],
  ['3(2x+1)', 'solve', 'simplify'],
  ['(x+1)^2', 'expand', 'expand'],
  ['sqrt(28)', 'solve', 'simplify'],
  ['abs(-3) + 2', 'solve', 'evaluate'],
  ['x != 3', 'simplify', 'simplify'],
  ['f(x) = 1/x', 'study', 'study'],
] as const)('%s, posed under “%s”, asks to %s', (given, before, task) => {
  expect(guessedTask(given, before)).toBe(task)
})

test.each([
  ['factor 2x^2+7x+3', 'factor', '2x^2+7x+3', ''],
  ['Factorise fully: 6x^2 - 9x', 'factor', '6x^2 - 9x', ''],
  ['3. Solve for y: 2y + x = 4', 'solve', '2y + x = 4', 'y'],
  ['Rationalise the denominator: 1/sqrt(3)', 'simplify', '1/sqrt(3)', ''],
  ['Find the domain of sqrt(x-2)', 'domain', 'sqrt(x-2)', ''],
  ['Sketch the graph of y = 1/x', 'study', 'y = 1/x', ''],
  ['work out 3*4', 'evaluate', '3*4', ''],
  ['factor', 'simplify', 'factor', ''],
  ['solved = 3', 'solve', 'solved = 3', ''],
])('“%s” says itself what is asked', (text, task, given, variable) => {
  expect(posedProblem(text, 'solve')).toMatchObject({ task, given, variable, orElse: [] })
})

test('every task but one can be said in words, and the words go', () => {
  for (const [task, word] of Object.entries(words.tasks)) {
    expect(posedProblem(`${word}: 7x`, 'solve')).toMatchObject({ task, given: '7x' })
  }
})

test('a trinomial alone may be meant for another task: it is asked', () => {
  expect(posedProblem('2x^2 + 7x + 3', 'solve').orElse).toEqual(['factor', 'study'])
  expect(posedProblem('2x^2 + 7x + 3', 'factor').orElse).toEqual([])
  expect(posedProblem('2x^2 + 7x', 'solve').orElse).toEqual([])
  expect(posedProblem('x^2 + y + 3', 'solve').orElse).toEqual([])
})

test('what is pasted below a problem becomes its lines, one chain of = too', () => {
  expect(posedProblem('2x = 6\n\n x = 3', 'solve')).toMatchObject({
    given: '2x = 6',
    lines: ['x = 3'],
  })
  expect(posedProblem('sqrt(72) = sqrt(36*2)\n= 6sqrt(2)', 'solve')).toMatchObject({
    task: 'simplify',
    given: 'sqrt(72)',
    lines: ['= sqrt(36*2)', '= 6sqrt(2)'],
  })
})
