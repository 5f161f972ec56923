import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { ref, type Component } from 'vue'
import { afterEach, expect, test, vi } from 'vitest'
import { newQueryClient } from '@/api/queries'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { words } from '@/texts/en'
import GoingOut from './GoingOut.vue'
import PaperComment from './PaperComment.vue'
import ScanBeside from './ScanBeside.vue'
import ScanHeap from './ScanHeap.vue'
import SchemePlace from './SchemePlace.vue'
import TrayBox from './TrayBox.vue'
import { questionsOf, type Grid } from './rows'
import { useScans } from './useScans'

vi.mock('vue-router', () => ({ useRouter: () => ({}), useRoute: () => ({ hash: '' }) }))
afterEach(() => void vi.unstubAllGlobals())

const students = [
  { id: 1, code: '01' },
  { id: 2, code: '02' },
]
const grid = {
  ...{ id: 's', title: 'Quiz', released: null, students, versions: [''] },
  cells: [
    { student: 1, number: 1, asks: 2, overruled: 0 },
    { student: 2, number: 1, asks: 1, overruled: 1 },
  ],
} as unknown as Grid
const sides = { left: 'x', sign: '=', right: '7' }
const line = { text: 'x = 7', latex: 'x=7', spoken: '', sides, law: '', says: 'Divide.', parts: [] }
const made = [
  { key: 'opens', kind: 'method', worth: 1, says: 'opens the bracket', steps: ['opens'] },
  { key: 'answer', kind: 'accuracy', worth: 2, says: 'the answer', steps: [] },
]
const reads = { text: '2x=4', latex: '2x=4', spoken: '', sides }
const scheme = {
  item: { id: 1, version: '', number: 1, task: 'solve', given: '2x=4', reads, worth: 3 },
  ...{ school: 'method-accuracy', is_own: false, marks: made, made, total: 3, way: [line] },
}
const job = { id: 'j', kind: 'tray', state: 'done', done: 1, total: 1, message: '' }
const waiting = [
  { id: 5, code: '99', form: '', says: 'no code', works: [{ item: 1, lines: ['x'] }] },
]
const page = (id: number, student: number | null) => ({
  ...{ id, student, page: 1, stack: 'stack.pdf', position: id, says: 'No mark.', shown: true },
})
let scanned = [page(1, 1), page(2, null)]

const sent: Asked[] = []
function server(asked: Asked) {
  if (asked.method !== 'GET') sent.push(asked)
  const { path } = asked
  if (path.includes('/scheme')) return { body: scheme }
  if (path.endsWith('/fetch')) return { body: { ...job, outcome: { taken: 3, waiting: 1 } } }
  if (path.startsWith('/api/deliveries')) return { body: { tray: 4, waiting } }
  if (path.startsWith('/api/scans')) return { body: { pages: scanned, job: null } }
  return { body: {} }
}
const release = vi.fn(() => Promise.resolve(true))
const sitting = { action: { busy: ref(false), refusal: ref('') }, release, reload: vi.fn() }

async function shown(place: Component, props: object) {
  fakeServer(server)
  sent.length = 0
  const plugins: [typeof VueQueryPlugin, object][] = [
    [VueQueryPlugin, { queryClient: newQueryClient() }],
  ]
  const stubs = { RouterLink: { template: '<a><slot /></a>' } }
  const found = mount(place, { props: props as never, global: { plugins, stubs } })
  await flushPromises()
  return found
}
const button = (place: Awaited<ReturnType<typeof shown>>, label: string) =>
  place.findAll('button').find((one) => one.text() === label)

test('a question is open until the teacher has decided on that paper', () => {
  expect(questionsOf(grid)).toBe(2)
})

test('marks are proposals until they are released, and can be taken back', async () => {
  const settled = { ...grid, cells: grid.cells.slice(1) }
  const place = await shown(GoingOut, { sitting, grid: settled })
  expect(place.text()).toContain(words.out.final)
  await button(place, words.out.release)?.trigger('click')
  await flushPromises()
  expect(release).toHaveBeenLastCalledWith(true)
  const links = place.findAll('a[download]').map((link) => link.attributes('href'))
  expect(links).toContain('/api/sittings/s/marks.xlsx')
  expect(links).toContain('/api/scans/s/handouts.pdf')
  await place.setProps({ grid: { ...settled, released: '2026-11-29T10:00:00Z' } } as never)
  expect(place.text()).toContain(words.out.released('2026-11-29'))
  await button(place, words.out.takeBack)?.trigger('click')
  expect(release).toHaveBeenLastCalledWith(false)
})

test('a comment is drafted from what to say, and kept when the field is left', async () => {
  const work = { item: 3, lines: ['x'], comment: '', draft: 'Line 1: look.', alike: 0 }
  const place = await shown(PaperComment, { work })
  await button(place, words.ways.draft)?.trigger('click')
  const body = { item: 3, comment: 'Line 1: look.', alike: false }
  expect(place.emitted('comment')).toEqual([[body]])
  await place.find('textarea').setValue('Mind the bracket.')
  await place.find('textarea').trigger('blur')
  expect(place.emitted('comment')?.[1]).toEqual([{ ...body, comment: 'Mind the bracket.' }])
})

test('marks of a scheme are changed, taken out and brought back, and saved as a whole', async () => {
  const place = await shown(SchemePlace, { id: 's', number: '1' })
  expect(place.text()).toContain(words.scheme.total(3))
  expect(place.text()).toContain('Divide.')
  await place.find('tbody tr:first-child button').trigger('click')
  expect(place.text()).toContain(words.scheme.total(2))
  await button(place, words.scheme.save)?.trigger('click')
  await flushPromises()
  const [, answer] = made
  expect(sent.at(-1)?.body).toEqual({ marks: [answer] })
  await button(place, words.scheme.bring)?.trigger('click')
  expect(place.findAll('tbody tr')).toHaveLength(2)
  place.unmount()
})

test('the tray says what waits; what came in is counted, what cannot be placed is laid by hand', async () => {
  const place = await shown(TrayBox, { sitting, grid })
  expect(place.text()).toContain(words.ways.inTray(4))
  expect(place.text()).toContain('no code')
  await button(place, words.ways.fetch)?.trigger('click')
  await flushPromises()
  expect(place.text()).toContain(words.ways.fetched(3, 1))
  await button(place, words.ways.putAway)?.trigger('click')
  await flushPromises()
  expect(sent.at(-1)).toMatchObject({ method: 'DELETE', path: '/api/deliveries/s/5' })
  place.unmount()
})

test('pages without a code wait in a heap, to be turned or thrown away', async () => {
  const place = await shown(ScanHeap, { sitting, grid })
  expect(place.text()).toContain(words.ways.laid(1))
  expect(place.findAll('li')).toHaveLength(1)
  await button(place, words.ways.turn)?.trigger('click')
  await flushPromises()
  expect(sent.at(-1)?.body).toEqual({ student: null, page: 1, turn: 90 })
  await button(place, words.ways.putAway)?.trigger('click')
  await flushPromises()
  expect(sent.at(-1)).toMatchObject({ method: 'DELETE', path: '/api/scans/s/pages/2' })
  place.unmount()
})

test('beside a paper are its own scanned pages only', async () => {
  scanned = [page(1, 1), page(2, 2), { ...page(3, 1), shown: false }]
  const Beside = {
    components: { ScanBeside },
    setup: () => ({ scans: useScans(() => 's'), student: students[0] }),
    template: '<ScanBeside :scans="scans" :student="student" />',
  }
  const place = await shown(Beside, {})
  expect(place.findAll('figure')).toHaveLength(2)
  expect(place.find('img').attributes('alt')).toBe(words.ways.pageAlt('01', 1))
  expect(place.text()).toContain(words.ways.notShown)
})
