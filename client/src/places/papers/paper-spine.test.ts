import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import type { Schemas } from '@/api/client'
import { fakeServer, judged } from '@/shared/testing/server'
import { shown } from '@/shared/testing/shown'
import PaperSpine from './PaperSpine.vue'

afterEach(() => void vi.unstubAllGlobals())

const sides = { left: '2x', sign: '=', right: '4' }
const item = {
  ...{ id: 7, version: '', number: 1, task: 'solve', given: '2x=4', worth: 2, example: null },
  reads: { text: '2x=4', latex: '2x=4', spoken: '', sides },
} as Schemas['GivenItem']
const work = (...verdicts: string[]) =>
  ({
    lines: verdicts.map((_, index) => `x=${index}`),
    checked: verdicts.map((verdict, index) => judged(`x=${index}`, verdict)),
  }) as unknown as Schemas['WorkOut']
const mark = {
  ...{ kind: 'strike', on: 0, part: 'm-0-0', pair: 1, sign: '', signed: false, text: null },
}
const drawn = {
  lines: [
    { text: '2x=4', sides: { ...sides, left: '\\htmlClass{m-0-0}{2x}' }, marks: [] },
    { text: 'x=0', sides, marks: [mark] },
    { text: 'x=1', sides, marks: [{ ...mark, part: 'm-1-0', on: 1 }] },
  ],
}

function spine(of: Schemas['WorkOut']) {
  const calls = fakeServer(() => ({ body: drawn }))
  const props = { sitting: 's', student: 3, item, work: of }
  return { calls, drawnSpine: shown(PaperSpine, props) }
}

test('a paper that never leaves the line bears no marks, and none are asked for', async () => {
  const { calls, drawnSpine } = spine(work('ok', 'ok'))
  await flushPromises()
  expect(calls).toHaveLength(0)
  expect(drawnSpine.findAll('.line')).toHaveLength(3)
  expect(drawnSpine.find('.hand').exists()).toBe(false)
  drawnSpine.unmount()
})

test('where a student first left, a warm hand shows what the student did, and only there', async () => {
  const { calls, drawnSpine } = spine(work('wrong', 'wrong'))
  await flushPromises()
  expect(calls[0]?.path).toContain('/sittings/s/papers/3/items/7/drawn')
  const hands = drawnSpine.findAll('.hand')
  expect(hands).toHaveLength(1)
  expect(hands[0]?.classes('warm')).toBe(true)
  expect(drawnSpine.findAll('.line')[0]?.find('.hand').exists()).toBe(true)
  drawnSpine.unmount()
})
