import { expect, test } from 'vitest'
import { isLeaving, marksOf } from './marks'
import type { CheckedLine } from './types'

const line = (verdict: CheckedLine['verdict'], more: Partial<CheckedLine> = {}): CheckedLine =>
  ({ text: '', verdict, conditions: [], check_line: false, ...more }) as CheckedLine

test('lines after an error that follow from it run parallel', () => {
  expect(marksOf([line('ok'), line('wrong'), line('ok'), line('ok')])).toEqual([
    'ok',
    'wrong',
    'parallel',
    'parallel',
  ])
})

test('a condition, a doubt and a check line have marks of their own', () => {
  const lines = [
    line('ok', { conditions: ['x != 2'] }),
    line('ok', { doubt: 'lineq-subtracts-coefficient' }),
    line('ok', { check_line: true }),
  ]
  expect(marksOf(lines)).toEqual(['condition', 'doubt', 'check'])
})

test('only leaving lines are warm', () => {
  expect((['wrong', 'loses', 'ok', 'may-add', 'unproved'] as const).map(isLeaving)).toEqual([
    true,
    true,
    false,
    false,
    false,
  ])
})

test('features of a function stand by themselves: none runs parallel to a wrong one', () => {
  const lines = (['ok', 'wrong', 'ok'] as const).map((verdict) => line(verdict, { feature: true }))
  expect(marksOf(lines)).toEqual(['ok', 'wrong', 'ok'])
})
