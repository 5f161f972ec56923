import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import { entered, fakeServer, settled } from '@/shared/testing/server'
import { shown } from '@/shared/testing/shown'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'
import BesideLine from './BesideLine.vue'
import ErrorContrast from '@/example/ErrorContrast.vue'
import { blank } from '@/example/content'
import { dividedAs, useMarks, withMarks } from '@/example/useMarks'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const sides = { left: '2x', sign: '=', right: '8' }
const named = { left: '\\htmlClass{m-1-0}{2x}', sign: '=', right: '8' }
const stop: StopLine = { number: 1, text: '2x=8', mark: 'ok', sides, spoken: '', words: '' }
const mark = {
  ...{ kind: 'beneath', on: 1, part: 'm-1-0', pair: 0, sign: '÷', signed: false, text: null },
} as Schemas['DrawnMark']
const drawn = { text: '2x=8', sides: named, marks: [mark] } as unknown as Schemas['DrawnLine']

test('a stop bears the marks that lie on it, with its parts named, and no others', () => {
  expect(withMarks(stop, drawn, [mark])).toMatchObject({ sides: named, drawn: [mark] })
  expect(withMarks(stop, drawn, [{ ...mark, on: 2 }])).toBe(stop)
  expect(withMarks(stop, undefined, [mark])).toBe(stop)
  const unreadable = { ...drawn, sides: { left: '', sign: '', right: '' } }
  expect(withMarks(stop, unreadable, [mark])).toBe(stop)
})

test('tracks are written as the marked line writes them', () => {
  const track = { left: 'x', sign: '=', right: '4', below: 'last' as const }
  const division = { tracks: [track, track], goesOn: false }
  const marked = { ...stop, sides: { ...named, tracks: [named, named] } }
  expect(dividedAs(division, marked)?.tracks[0]).toMatchObject({ ...named, below: 'last' })
  expect(dividedAs(division, stop)).toBe(division)
  expect(dividedAs(null, stop)).toBeNull()
})

test('marks are asked for only where somebody looks, once for a text, and never shown of another', async () => {
  const calls = fakeServer(({ body }) => ({ body: { lines: [{ text: body['given'] }] } }))
  const problem = ref({ given: '2x = 8', lines: ['x = 4'] } as unknown as Schemas['ProblemIn'])
  const isShown = ref(false)
  const { value: marks } = entered(() => useMarks(problem, isShown))
  await settled(1000)
  expect(calls).toHaveLength(0)
  isShown.value = true
  await settled(1000)
  expect(marks.lines.value).toEqual([{ text: '2x = 8' }])
  problem.value = { ...problem.value, given: '2x = 10' }
  await settled(10)
  expect(marks.lines.value).toEqual([]) // those of the old text lie on nothing
  await settled(1000)
  expect(marks.lines.value).toEqual([{ text: '2x = 10' }])
  expect(calls).toHaveLength(2)
  isShown.value = false
  await settled(10)
  expect(marks.lines.value).toEqual([])
})

const work = (line: number, lines: string[]) => ({
  ...{ kind: 'pairs', line, says: `Beside ${line}.`, parts: [], rows: [], lines },
})

test('side work of the chosen line stands there, is put away, and is written beside the lines', async () => {
  vi.useRealTimers()
  fakeServer(() => ({ body: { works: [work(1, ['2*3 = 6']), work(2, [])] } }))
  const content = { ...blank(), given: 'x^2+5x+6', lines: ['(x+2)(x+3)', 'x'] }
  const beside = shown(BesideLine, { content, line: 1, open: true })
  await flushPromises()
  expect(beside.text()).toContain('Beside 1.')
  expect(beside.text()).not.toContain('Beside 2.')
  await beside.find('button:not([aria-expanded]), el-button').trigger('click')
  expect(beside.emitted('write')).toEqual([[['2*3 = 6']]])
  await beside.find('[aria-expanded]').trigger('click')
  expect(beside.emitted('update:open')).toEqual([[false]])
  await beside.setProps({ open: false })
  expect(beside.text()).not.toContain('Beside 1.')
  expect(beside.text()).toContain(words.sideWork.title)
  beside.unmount()
})

test('side work that cannot be had says why and can be asked for again', async () => {
  vi.useRealTimers()
  const message = 'Too many at once.'
  fakeServer(() => ({ status: 422, body: { code: 'x', message, at: null } }))
  const content = { ...blank(), given: 'x^2', lines: ['x'] }
  const beside = shown(BesideLine, { content, line: 1, open: true })
  await flushPromises()
  expect(beside.find('[role=alert]').text()).toContain(message)
  beside.unmount()
})

const math = (latex: string) => ({ text: latex, latex, spoken: latex, sides })

test('the contrast of an error is asked for by its name; a teacher’s own error has none', async () => {
  vi.useRealTimers()
  const pair = { before: math('(a+b)^2'), wrong: math('a^2+b^2'), right: math('a^2+2ab+b^2') }
  const calls = fakeServer(({ path }) =>
    path.endsWith('own-1')
      ? { status: 422, body: { code: 'bad-request', message: 'None.', at: null } }
      : { body: { error: 'e', name: 'E', says: '', ...pair } },
  )
  const contrast = shown(ErrorContrast, { error: 'e' })
  await flushPromises()
  expect(calls[0]?.path).toContain('/contrast/e')
  expect(contrast.findAll('.shape, svg, .stop').length).toBeGreaterThan(0)
  await contrast.setProps({ error: 'own-1' })
  await flushPromises()
  expect(contrast.find('.pair').exists()).toBe(false)
  contrast.unmount()
})
