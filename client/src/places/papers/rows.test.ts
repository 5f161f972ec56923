import { expect, test } from 'vitest'
import { errorsOf, rowsOf, totalOf, type Cell, type Grid } from './rows'

const cell = (student: number, number: number, more: Partial<Cell> = {}): Cell => ({
  ...{ student, number, earned: 1, of: 3, stop: 'ok', error: '', asks: 0, overruled: 0 },
  ...more,
})
const grid = {
  students: [1, 2, 3].map((id) => ({ id, code: `c${id}` })),
  versions: ['A', 'B'],
  items: ['A', 'B'].flatMap((version) => [1, 2].map((number) => ({ version, number }))),
  cells: [
    cell(1, 1, { error: 'Signs' }),
    cell(1, 2, { error: 'Signs', earned: 3 }),
    cell(2, 1, { error: 'Signs', earned: null }),
    cell(2, 2, { error: 'Other', asks: 1, earned: 2 }),
  ],
} as unknown as Grid
const all = { asking: false, error: '', by: 'code' } as const

test('each code has its cells in the order of the items, and what is marked is added up', () => {
  const rows = rowsOf(grid, all)
  expect(rows.map(({ student }) => student.code)).toEqual(['c1', 'c2', 'c3'])
  expect(rows.map(({ total }) => total)).toEqual([{ earned: 4, of: 6 }, { earned: 2, of: 3 }, null])
  expect(rows[2]?.cells).toEqual([undefined, undefined])
  expect(totalOf([])).toBeNull()
})

test('rows are wished for: what asks, who made an error, the best first', () => {
  const codes = (wish: object) => rowsOf(grid, { ...all, ...wish }).map((row) => row.student.code)
  expect(codes({ asking: true })).toEqual(['c2'])
  expect(codes({ error: 'Signs' })).toEqual(['c1', 'c2'])
  expect(codes({ error: 'Other', asking: true })).toEqual(['c2'])
  expect(codes({ by: 'total' })).toEqual(['c1', 'c2', 'c3'])
})

test('an error is counted once a student, the most first', () => {
  expect(errorsOf(grid)).toEqual([
    ['Signs', 2],
    ['Other', 1],
  ])
})
