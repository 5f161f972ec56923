import { expect, test } from 'vitest'
import { byCounts, didBy } from './useClassesAt'

const fork = (error: string, wrong = error) => ({ error, wrong, after: 0, name: error }) as never
const at = (errors: [string, number][], title = 'Period 3') => ({
  ...{ class_id: title, title, year: '2026', of: 28 },
  errors: errors.map(([error, count]) => ({ error, name: error, count })),
})

test('forks stand as classes took them, then in our own order', () => {
  const classes = [at([['b', 3]]), at([['c', 4], ['b', 2]], 'Period 5')] // prettier-ignore
  const order = byCounts([fork('a'), fork('c'), fork('b')], classes)
  expect(order.map(({ error }) => error)).toEqual(['b', 'c', 'a'])
})

test('each class that did it is named with its numbers', () => {
  const classes = [at([['b', 3]]), at([['c', 4]], 'Period 5')] // prettier-ignore
  expect(didBy('b', classes)).toBe('3 of 28 left here (Period 3, 2026)')
  expect(didBy('a', classes)).toBe('')
})

test('nothing is lost or doubled, and without counts nothing moves', () => {
  const listed = ['d', 'a', 'c', 'a', 'b'].map((error, place) => fork(error, String(place)))
  for (let state = 1; state < 400; state = (state * 7 + 3) % 401) {
    const counted = ['a', 'b', 'c'].map(
      (error, place) => [error, (state >> place) % 5] as [string, number],
    )
    const sorted = byCounts(listed, [at(counted)])
    expect(new Set(sorted)).toEqual(new Set(listed))
    expect(sorted).toHaveLength(listed.length)
    if (state > 390) break
  }
  expect(byCounts(listed, [])).toEqual(listed)
})
