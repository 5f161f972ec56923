import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { entered, fakeServer, judged, settled, type Asked } from '@/shared/testing/server'
import { useBench } from './useBench'

const EXAMPLE = {
  id: '00000000-0000-0000-0000-000000000002',
  title: 'Two',
  task: 'solve',
  given: '2x = 6',
  variable: '',
  numbers: 'real',
  form: [],
  note: '',
  lines: ['x = 3'],
  version: 1,
  changed: '2026-01-01T00:00:00Z',
}

function answers(asked: Asked): { body: unknown } {
  if (asked.path.endsWith('/check')) {
    const lines = (asked.body.lines as string[]).map((text) => judged(text, 'ok'))
    const answer = { right: true, finished: true, missing: [], extra: [] }
    return { body: { lines, first_wrong: null, error: null, answer, checks: [] } }
  }
  if (asked.path.endsWith('/work')) {
    return { body: { lines: [judged('2x = 6', 'ok'), judged('x = 3', 'ok')] } }
  }
  if (asked.path.endsWith('/inspect')) return { body: { reads: {}, methods: [] } }
  if (asked.path.endsWith('/opened')) {
    return { body: { example: { ...EXAMPLE, version: 2 }, checked: null, inspected: null } }
  }
  return { body: { ...EXAMPLE, ...asked.body, version: 2 } }
}

beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
})
afterEach(() => void vi.unstubAllGlobals())

async function opened() {
  const calls = fakeServer(answers)
  const { value: bench } = entered(() => useBench(() => undefined))
  await bench.open(EXAMPLE.id)
  await settled(50)
  return { bench, calls }
}

test('a draft becomes a line and leaves the entry empty', async () => {
  const { bench } = await opened()

  bench.draft.value = '  3 = x '
  bench.keepDraft()

  expect(bench.content.value.lines).toEqual(['x = 3', '3 = x'])
  expect(bench.draft.value).toBe('')
})

test('empty lines are never kept', async () => {
  const { bench } = await opened()

  bench.draft.value = '   '
  bench.keepDraft()
  bench.addLines(['', '  ', 'x = 6/2', ''])

  expect(bench.content.value.lines).toEqual(['x = 3', 'x = 6/2'])
})

test('every change can be undone one by one and redone', async () => {
  const { bench } = await opened()
  const start = JSON.stringify(bench.content.value)

  bench.pose('3x = 9')
  bench.editLine(0, 'x = 9/3')
  bench.addLines(['x = 3'])
  bench.removeLine(0)
  await bench.workIt()
  const end = JSON.stringify(bench.content.value)
  for (let n = 0; n < 5; n += 1) bench.undo()
  expect(JSON.stringify(bench.content.value)).toBe(start)
  expect(bench.canUndo.value).toBe(false)
  for (let n = 0; n < 5; n += 1) bench.redo()

  expect(JSON.stringify(bench.content.value)).toBe(end)
  expect(bench.canRedo.value).toBe(false)
})

test('a change that changes nothing is not remembered', async () => {
  const { bench } = await opened()

  bench.editLine(0, 'x = 3')
  bench.editLine(0, '   ')

  expect(bench.canUndo.value).toBe(false)
  expect(bench.content.value.lines).toEqual(['x = 3'])
})

test('posing an expression changes the task', async () => {
  const { bench } = await opened()

  bench.pose('18 - 3*(7 - 2)')

  expect(bench.content.value).toMatchObject({ task: 'evaluate', given: '18 - 3*(7 - 2)' })
})

test('what this browser kept is shown when the example is opened again', async () => {
  const kept = { ...EXAMPLE, lines: ['x = 3', 'not stored'] }
  const { id, version, changed, ...content } = kept
  void [version, changed]
  localStorage.setItem(
    `uchuu.unsaved.example.${id}`,
    JSON.stringify({ format: 2, content, version: 1, draft: 'half a li' }),
  )

  const { bench } = await opened()

  expect(bench.content.value.lines).toEqual(['x = 3', 'not stored'])
  expect(bench.draft.value).toBe('half a li')
  bench.undo()
  expect(bench.content.value.lines).toEqual(['x = 3'])
})

test('the details show the chosen line, else the one being typed, else the last', async () => {
  const { bench } = await opened()
  expect(bench.shownLine.value?.text).toBe('x = 3')

  bench.draft.value = '3 = x'
  await settled(50)
  expect(bench.shownLine.value?.text).toBe('3 = x')
  bench.chosen.value = 0
  expect(bench.shownLine.value?.text).toBe('x = 3')
  bench.removeLine(0)
  bench.draft.value = ''

  expect(bench.chosen.value).toBeNull()
  expect(bench.shownLine.value).toBeNull()
})

test('words before a problem set its task, and what may be meant as well is asked once', async () => {
  const { bench } = await opened()
  bench.content.value.lines = []
  bench.pose('x^2 + 5x + 6')
  expect([bench.content.value.task, bench.asks.value]).toEqual(['simplify', ['factor', 'study']])
  bench.change((next) => (next.task = 'factor'))
  expect(bench.asks.value).toEqual([])
  bench.pose('solve for y: 2y = x')
  const { task, given, variable } = bench.content.value
  expect([task, given, variable]).toEqual(['solve', '2y = x', 'y'])
})

test('an example that comes late does not take the place of a later one', async () => {
  fakeServer(answers)
  const { value: bench } = entered(() => useBench(() => undefined))

  const slow = bench.open(EXAMPLE.id)
  await bench.open(null)
  await slow

  expect(bench.content.value.given).toBe('')
})

test('my own words for a line stay with it wherever it goes, and are undone', async () => {
  const { bench } = await opened()
  bench.chosen.value = 0

  bench.explain(' Halve both sides. ')
  await settled(300)
  expect(bench.judging.stops.value[0]?.words).toBe('Halve both sides.')
  bench.insertLine(0, '4x = 12')
  expect(bench.content.value.reasons).toEqual({ 'x = 3': 'Halve both sides.' })
  bench.chosen.value = 1
  bench.explain('')
  expect(bench.content.value.reasons).toEqual({})
  bench.undo()

  expect(bench.content.value.reasons).toEqual({ 'x = 3': 'Halve both sides.' })
})
