import { expect, test } from 'vitest'
import { queryOf, usualWish } from './wish'

test('a wish is asked for whole; how many lines only where something is said of it', () => {
  expect(queryOf(usualWish())).toEqual({
    room: 'lines',
    paper: 'a4',
    forks: false,
    marks: false,
    beside: false,
    versions: false,
    seed: 1,
  })
  expect(queryOf({ ...usualWish(), density: 'key', seed: 3 })).toMatchObject({
    density: 'key',
    seed: 3,
  })
})
