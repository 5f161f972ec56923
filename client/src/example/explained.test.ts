import { expect, test } from 'vitest'
import type { Schemas } from '@/api/client'
import { knownOf, wholly, type Explained } from './explained'

const TEXTS = ['a', 'b', 'c', 'd', 'e']

function part(from: number, size: number): Schemas['Checked'] {
  const explained = Math.min(TEXTS.length, from + size)
  const lines = TEXTS.map((text, index) => ({
    text,
    verdict: 'ok',
    says: index >= from && index < explained ? `why ${text}` : null,
  }))
  const error = from <= 1 && 1 < explained ? 'e' : null
  const rest = { first_wrong: 2, error, unexplained: explained < TEXTS.length, explained }
  return { lines, ...rest } as unknown as Schemas['Checked']
}

test('every line keeps the reason that the part with it brought', async () => {
  const asked: number[] = []
  const found = await wholly(async (explained) => {
    asked.push(explained)
    return part(explained, 2)
  })

  expect(asked).toEqual([0, 2, 4])
  expect(found.lines.map((line) => line.says)).toEqual(TEXTS.map((text) => `why ${text}`))
  expect([found.error, found.unexplained]).toEqual(['e', false])
})

test('what is known of the first lines holds as long as they and their problem are the same', () => {
  const asked = { task: 'solve', given: '2x = 6', lines: ['a', 'b'], goes_on: true } as const
  const checked = {
    lines: [{}, {}],
    explained: 2,
    unexplained: false,
  } as unknown as Schemas['Checked']
  const known = (now: object, last: object = {}) => {
    const before = { asked: { ...asked, ...last }, checked } as unknown as Explained
    return knownOf(before, { ...asked, ...now } as unknown as Explained['asked'])?.explained ?? 0
  }
  expect(known({})).toBe(2)
  expect(known({ lines: ['a', 'b', 'c'], explains: false, explained: 1 })).toBe(2)
  expect(known({ lines: ['a', 'c', 'b'] })).toBe(1)
  expect(known({ lines: ['c', 'b'] })).toBe(0)
  expect(known({ given: '3x = 6' })).toBe(0)
  expect(known({ goes_on: false })).toBe(0)
  expect(known({ goes_on: false }, { goes_on: false })).toBe(2)
  // a line that was the last one was held against what is asked
  expect(known({ goes_on: false, lines: ['a', 'b', 'c'] }, { goes_on: false })).toBe(0)
  expect(knownOf(null, asked as unknown as Explained['asked'])).toBeNull()
})
