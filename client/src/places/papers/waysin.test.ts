import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { ref, type Component } from 'vue'
import { afterEach, expect, test, vi } from 'vitest'
import { newQueryClient } from '@/api/queries'
import { fakeServer, judged, type Asked } from '@/shared/testing/server'
import { words } from '@/texts/en'
import ItemPlace from './ItemPlace.vue'
import LayTo from './LayTo.vue'
import LineText from './LineText.vue'
import MarkGrid from './MarkGrid.vue'
import PaperPlace from './PaperPlace.vue'
import SchemeMarks from './SchemeMarks.vue'
import ScanHeap from './ScanHeap.vue'
import WaysIn from './WaysIn.vue'
import { columnsOf, rowsOf, type Grid } from './rows'

const pushed: unknown[] = []
vi.mock('vue-router', () => ({
  useRouter: () => ({ push: (to: unknown) => pushed.push(to) }),
  useRoute: () => ({ hash: '', query: {} }),
  onBeforeRouteLeave: () => undefined,
  onBeforeRouteUpdate: () => undefined,
}))
afterEach(() => void vi.unstubAllGlobals())

const sides = { left: 'x', sign: '=', right: '2' }
const reads = { text: '2x=4', latex: '2x=4', spoken: '', sides }
const item = (id: number, version: string, number: number) => ({
  ...{ id, version, number, task: 'solve', given: '2x=4', reads, worth: 2 },
})
const students = [
  { id: 1, code: '01' },
  { id: 2, code: '02' },
]
const cell = { earned: 1, of: 2, stop: 'ok', error: '', asks: 0, overruled: 0 }
const grid = {
  ...{ id: 's', title: 'Quiz', date: '2026-11-20', school: 'deductions', job: null },
  ...{ accuracy_follows: false, released: null, school_class: 'Period 3' },
  ...{ versions: ['A', 'B'], had: { 1: 'A', 2: 'B' }, students },
  items: [item(10, 'A', 1), item(11, 'A', 2), item(20, 'B', 1), item(21, 'B', 2)],
  cells: [
    { ...cell, student: 1, number: 2 },
    { ...cell, student: 2, number: 1, earned: 2 },
  ],
} as unknown as Grid
const work = {
  ...{ item: 10, lines: ['x=3', 'x=2'], answer_alone: false, waiting: false, refused: '' },
  ...{ late: false, right: true, checked: [judged('x=3', 'ok')], marks: [], earned: 2, of: 2 },
  ...{ ask: [], alike: 0, comment: '', draft: '' },
}
const paper = {
  ...{ student: students[0], version: 'A', versions: ['A', 'B'], items: [item(10, 'A', 1)] },
  works: [work],
}
const way = { ...reads, law: '', says: 'Halve both sides.', parts: [] }
const scheme = {
  ...{ item: item(10, 'A', 1), school: 'deductions', is_own: true, marks: [], made: [] },
  ...{ total: 2, way: [way] },
}
const placed = { groups: [], lines: [], way: [], forks: [], reads, says: [] }
const leaving = (line: string, more: object = {}) => ({
  ...{ after: 0, error: '', name: '', says: '', line: { ...reads, text: line, latex: line } },
  ...{ wrote: [], ends: [{ ...reads, text: 'x=9', latex: 'x=9', count: 1 }], parallel: 1 },
  ...{ students: [1, 2], ...more },
})
const spine = {
  stops: [0, 1].map((n) => ({ ...reads, text: `line ${n}`, passed: 4 - n })),
  leavings: [leaving('w', { error: 'e', name: 'Signs' })],
  unexplained: [leaving('odd', { students: [2] })],
  ...{
    stopped: [leaving('soon')],
    arrived: [1],
    others: [1],
    luck: [],
    undecided: [2],
    waiting: 1,
  },
  of: 7,
}
const sent: Asked[] = []
let fails = false
function server(asked: Asked) {
  sent.push(asked)
  const { path } = asked
  if (path.startsWith('/api/scans') && fails)
    return { status: 422, body: { code: 'bad-file', message: 'It is no picture.', at: null } }
  if (path.startsWith('/api/scans')) return { body: { pages: [], job: null } }
  if (path.startsWith('/api/deliveries')) return { body: { tray: null, waiting: [] } }
  if (path.includes('/scheme')) return { body: scheme }
  if (path.includes('/items/'))
    return {
      body: {
        ...{ item: item(20, 'B', 1), versions: ['A', 'B'], codes: [], placed },
        ...{ spine, students },
      },
    }
  return { body: path.includes('/papers/') ? paper : grid }
}

async function shown(place: Component, props: object, stubs: object = {}) {
  fakeServer(server)
  sent.length = pushed.length = 0
  const plugins: [typeof VueQueryPlugin, object][] = [
    [VueQueryPlugin, { queryClient: newQueryClient() }],
  ]
  const all = { RouterLink: { template: '<a><slot /></a>' }, ...stubs }
  const found = mount(place, { props: props as never, global: { plugins, stubs: all } })
  await flushPromises()
  return found
}
const action = { busy: ref(false), refusal: ref('') }
const sitting = { action, takeFile: vi.fn(), takeTable: vi.fn(), reload: vi.fn() }

test('with versions the items of the first stand across, and each cell by its number', () => {
  expect(columnsOf(grid).map(({ id }) => id)).toEqual([10, 11])
  const rows = rowsOf(grid, { asking: false, error: '', by: 'code' })
  expect(rows.map(({ cells }) => cells.map((one) => one?.earned))).toEqual([
    [undefined, 1],
    [2, undefined],
  ])
})

test('the grid says which version a code had, and opens the paper at the item', async () => {
  const rows = rowsOf(grid, { asking: false, error: '', by: 'code' })
  const place = await shown(MarkGrid, { grid, rows, by: 'code' })
  const heads = place.findAll('tbody th').map((head) => head.text())
  expect(heads).toEqual(['01A', '02B'])
  await place.findAll('tbody tr')[1]?.findAll('td')[1]?.trigger('click')
  expect(pushed).toEqual([{ name: 'paper', params: { id: 's', student: 2 }, hash: '#item-1' }])
  await place.findAll('thead button')[1]?.trigger('click')
  expect(place.emitted('update:by')).toEqual([['total']])
  place.unmount()
})

test('papers come in by three ways, each under its name', async () => {
  const place = await shown(WaysIn, { sitting, grid })
  const names = place.findAll('[role=tab]').map((tab) => tab.text())
  expect(names).toEqual([words.ways.table, words.ways.tray, words.ways.scans])
  await place.findAll('[role=tab]')[1]?.trigger('click')
  await flushPromises()
  expect(place.text()).toContain(words.ways.inTray(null))
  place.unmount()
})

test('a scan that is no picture is refused with the reason', async () => {
  fails = true
  const place = await shown(ScanHeap, { sitting, grid })
  expect(place.text()).toContain('It is no picture.')
  fails = false
  place.unmount()
})

test('nothing is laid before a code is chosen', async () => {
  const place = await shown(LayTo, { students, busy: false })
  const [lay, away] = place.findAll('button')
  expect(lay?.attributes('disabled')).toBeDefined()
  await away?.trigger('click')
  expect(place.emitted('away')).toHaveLength(1)
  expect(place.emitted('lay')).toBeUndefined()
})

test('the set’s own way stands beside a paper when it is asked for', async () => {
  const place = await shown(PaperPlace, { id: 's', student: '1' })
  expect(place.text()).not.toContain('Halve both sides.')
  const button = place.findAll('button').find((one) => one.text() === words.scheme.way)
  await button?.trigger('click')
  await flushPromises()
  expect(place.text()).toContain('Halve both sides.')
  expect(sent.filter(({ path }) => path.includes('/items/1/scheme'))).toHaveLength(1)
  place.unmount()
})

test('an item of a sitting with versions says of which it is', async () => {
  const stubs = { PlacedAnswers: true }
  const place = await shown(ItemPlace, { id: 's', number: '1' }, stubs)
  expect(place.find('.version').exists()).toBe(true)
  expect(place.text()).toContain(words.scheme.open)
  place.unmount()
})

test('one spine has everybody once; a line that nobody knows is named for all who wrote it', async () => {
  const place = await shown(ItemPlace, { id: 's', number: '1' }, { PlacedAnswers: true })
  const said = place.text()
  for (const words_ of [
    words.passing.left(2, 6),
    words.passing.parallel(1),
    words.passing.unexplained(1),
    words.passing.stopped(2),
    words.passing.others(1),
    words.passing.undecided(1),
    words.passing.waiting(1),
    words.passing.arrived(1, 6),
  ])
    expect(said).toContain(words_)
  const button = place.findAll('button').find((one) => one.text() === words.passing.name)
  await button?.trigger('click')
  await place.find(`[aria-label="${words.passing.name}"]`).setValue('Lost six')
  await place.find('form').trigger('submit')
  await flushPromises()
  const named = sent.find(({ path, method }) => method === 'PUT' && path.endsWith('/name'))
  expect(named?.body).toEqual({ version: '', line: 'odd', name: 'Lost six' })
  place.unmount()
})

test('a line stands typeset, or as it was written where nobody could read it', async () => {
  const read = await shown(LineText, { line: { text: 'x', latex: 'x', spoken: 'x' } })
  expect(read.find('.katex').exists()).toBe(true)
  const unread = await shown(LineText, { line: { text: 'x ((', latex: '', spoken: 'x ((' } })
  expect(unread.text()).toBe('x ((')
})

test('marks that are taken off never count towards the total', async () => {
  const mark = (key: string, worth: number) => ({
    ...{ key, kind: 'method' as const, worth, says: key, steps: [] },
  })
  const marks = [mark('answer', 4), mark('slip', -1)]
  const place = await shown(SchemeMarks, { modelValue: marks, missing: [] })
  expect(place.text()).toContain(words.scheme.total(4))
  expect(place.text()).toContain(words.scheme.off)
  await place.findAll('tbody tr')[0]?.find('.el-input-number input').setValue('6')
  await place.findAll('tbody tr')[0]?.find('.el-input-number input').trigger('change')
  const changed = place.emitted('update:modelValue')?.at(-1)?.[0] as typeof marks
  expect(changed.map(({ worth }) => worth)).toEqual([6, -1])
})
