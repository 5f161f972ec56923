import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import type { Schemas } from '@/api/client'
import { entered, fakeServer, type Asked } from '@/shared/testing/server'
import { readingOf, useProof } from './useProof'

afterEach(() => void vi.unstubAllGlobals())

const item = (number: string, more: object = {}) =>
  ({
    number,
    at: 1,
    task: 'solve',
    given: `${number}x = 6`,
    status: 'holds',
    ...more,
  }) as unknown as Schemas['ProofItem']

const REPORT = [
  item('1', { lines: [{ text: 'x = 6' }], notes: ['easy'] }),
  item('2', { status: 'wrong', correction: ['x = 3'], options: [{ letter: 'A', text: '3' }] }),
  item('3', { status: 'no-answer', answer: 'x = 2', task: null }),
]

function server(asked: Asked) {
  const proof = { id: 'p', title: '', text: '', purpose: 'key', job: null, accepted: [1] }
  if (asked.path.endsWith('/set')) return { status: 201, body: { set: { id: 's' }, rows: [] } }
  if (asked.path.endsWith('/accepted')) {
    return { body: { ...proof, report: REPORT, accepted: asked.body['places'] } }
  }
  return { body: { ...proof, report: REPORT } }
}

async function opened() {
  const calls = fakeServer(server)
  const { value: proof } = entered(() => useProof(() => 'p'))
  await flushPromises()
  return { proof, calls }
}

test('what can be mended is a correction or an answer that was missing', async () => {
  const { proof } = await opened()
  expect(proof.mendable.value).toEqual([1, 2])
})

test('one is accepted beside others, and taken back', async () => {
  const { proof } = await opened()
  await proof.toggle(2, true)
  expect(proof.proof.value?.accepted).toEqual([1, 2])
  await proof.toggle(1, false)
  expect(proof.proof.value?.accepted).toEqual([2])
})

test('two ticked before the first is answered are both kept; a refused one is taken back', async () => {
  const { proof, calls } = await opened()
  const both = [proof.toggle(1, false), proof.toggle(2, true), proof.toggle(0, true)]
  expect(proof.proof.value?.accepted).toEqual([2, 0])
  await Promise.all(both)
  expect(calls.at(-1)?.body['places']).toEqual([2, 0])
  expect(proof.proof.value?.accepted).toEqual([2, 0])

  fakeServer(() => ({ status: 422, body: { code: 'x', message: 'No such item.', at: null } }))
  expect(await proof.toggle(2, false)).toBe(false)
  expect(proof.proof.value?.accepted).toEqual([2, 0])
})

test('an item is read with its lines, options and notes, as simplify where nothing is asked', () => {
  expect(readingOf(REPORT[1]!).options).toEqual([['A', '3']])
  expect(readingOf(REPORT[2]!).task).toBe('simplify')
  expect(readingOf(REPORT[0]!)).toMatchObject({ lines: ['x = 6'], notes: ['easy'], chosen: '' })
})

test('an item joined to the one above becomes its further lines; the first has none above', async () => {
  const { proof, calls } = await opened()
  expect(await proof.join(0)).toBe(false)
  await proof.join(1)

  const sent = calls.at(-1)?.body['items'] as Schemas['KeyItemIn'][]
  expect(sent.map(({ number, lines, notes }) => [number, lines, notes])).toEqual([
    ['1', ['x = 6', '2x = 6'], ['easy']],
    ['3', [], []],
  ])
})

test('a set is made of it; where that is refused it is said and none is named', async () => {
  const { proof } = await opened()
  expect(await proof.toSet()).toBe('s')
  fakeServer(() => ({ status: 422, body: { code: 'x', message: 'Nothing holds.', at: null } }))
  expect(await proof.toSet()).toBeNull()
  expect(proof.refusal.value).toBe('Nothing holds.')
})
