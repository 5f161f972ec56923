import { expect, test } from 'vitest'
import { aroundOf, isLeaving, marksOf } from './marks'
import type { CheckedLine } from './types'

const line = (verdict: CheckedLine['verdict'], more: Partial<CheckedLine> = {}): CheckedLine =>
  ({ text: '', verdict, if: [], role: 'chain', ...more }) as CheckedLine

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
    line('ok', { if: ['x != 2'] }),
    line('ok', { doubt: 'lineq-subtracts-coefficient' }),
    line('ok', { role: 'check' }),
    line('ok', { role: 'side' }),
    line('ok', { role: 'operation' }),
    line('ok', { role: 'remark' }),
  ]
  expect(marksOf(lines)).toEqual(['condition', 'doubt', 'check', 'side', 'operation', 'remark'])
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

test('a line that is back on the line ends the parallel track; false side work begins none', () => {
  const lines = [
    line('wrong'),
    line('ok'),
    line('ok', { back: true }),
    line('wrong', { role: 'side' }),
    line('ok'),
  ]
  expect(marksOf(lines)).toEqual(['wrong', 'parallel', 'back', 'wrong', 'ok'])
})

test('what stands around a line is told to its stop', () => {
  expect(aroundOf(line('ok', { role: 'remark', remark: 'so', struck: true }))).toEqual({
    beside: true,
    remark: 'so',
    operation: '',
    struck: true,
  })
  expect(aroundOf(null).beside).toBe(false)
})
