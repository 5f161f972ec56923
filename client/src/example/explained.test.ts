import { expect, test } from 'vitest'
import type { Schemas } from '@/api/client'
import { wholly } from './explained'

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
