import { expect, test } from 'vitest'
import { climbing, jumps, repeats } from './climb'
import { errorsCovered, skillsCovered } from './coverage'
import type { Schemas } from '@/api/client'

const steps = (...scores: (number | null)[]) =>
  scores.map((score) => ({ score, same: '', structure: '' }))

test('a rise far above everything before is a jump, the first step never is', () => {
  expect(jumps(steps(1, 2, 3, 9, 9.5))).toEqual([3])
  expect(jumps(steps(9, 1, 2))).toEqual([])
  expect(jumps(steps(null, 1, null, 8))).toEqual([3])
  expect(jumps(steps(2, 2.5, 3))).toEqual([])
})

test('the same exercise is named before one of the same structure; unknown ones repeat nothing', () => {
  const shapes = [
    ['a', 's'],
    ['b', 's'],
    ['b', 's'],
    ['', ''],
    ['', ''],
  ] as const
  const found = repeats(shapes.map(([same, structure]) => ({ score: 1, same, structure })))

  expect(found).toEqual([null, { of: 0, how: 'structure' }, { of: 1, how: 'same' }, null, null])
})

test('from easy to hard, equal ones as they were, unknown ones last', () => {
  expect(climbing(steps(3, null, 1, 3, 2))).toEqual([2, 4, 0, 3, 1])
})

test('coverage counts what is revealed; what is only hidden is a gap', () => {
  const error = (key: string) => ({ error: key, name: key, after: 0, wrong: '', ends_in: '' })
  const facts = [
    { reveals: [error('a'), error('b')], hides: [], skills: ['add-on-both-sides'] },
    { reveals: [error('b')], hides: [error('c')], skills: ['add-on-both-sides', 'divide'] },
    undefined,
  ] as unknown as (Schemas['Facts'] | undefined)[]

  expect(errorsCovered(facts)).toEqual([
    { name: 'b', cells: ['revealed', 'revealed', ''], count: 2 },
    { name: 'a', cells: ['revealed', '', ''], count: 1 },
    { name: 'c', cells: ['', 'hidden', ''], count: 0 },
  ])
  expect(skillsCovered(facts).map((row) => [row.name, row.count])).toEqual([
    ['add on both sides', 2],
    ['divide', 1],
  ])
})
