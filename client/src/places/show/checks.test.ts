import { expect, test } from 'vitest'
import type { StopLine } from '@/spine/types'
import { boardSteps, checkStops } from './checks'

const side = (right: string) => ({ left: 'x', sign: '=', right })
const line = (number: number, ...rights: string[]): StopLine => ({
  ...{ number, text: rights.join(), mark: 'ok', spoken: '', words: '' },
  sides:
    rights.length > 1
      ? { left: '', sign: '', right: '', tracks: rights.map(side) }
      : side(rights[0] ?? ''),
})
const check = (value: string): StopLine => ({ ...line(0, value), text: value, mark: 'check' })
const order = (lines: StopLine[], failing: string[]) =>
  boardSteps(lines, [check('3'), check('-2')], failing).map((step) => step.line)

test('checks come last where no candidate is left out', () => {
  expect(order([line(1, '3', '-2')], [])).toEqual([1, null, null])
  expect(order([line(1, '9'), line(2, '3', '-2')], ['x = -2'])).toEqual([1, 2, null, null])
})

test('checks come before the line that leaves a candidate out, after the last that states it', () => {
  const lines = [line(1, '3', '-2'), line(2, '3', '-2'), line(3, '3')]
  expect(order(lines, ['x=-2'])).toEqual([1, 2, null, null, 3])
})

test('a check has both sides worked out, and fails with a sign of its own', () => {
  const typeset = (latex: string) => ({ text: latex, latex })
  const found = checkStops([
    {
      ...{ value: 'x = -2', value_latex: 'x=-2', left: '2', right: '-2', holds: false },
      left_lines: [typeset('\\sqrt{4}'), typeset('2')],
      right_lines: [typeset('-2')],
      says: 'does not balance',
    },
  ])
  expect(found[0]?.mark).toBe('fails')
  expect(found[0]?.sides).toEqual({ left: '\\sqrt{4} = 2', sign: '≠', right: '-2' })
})
