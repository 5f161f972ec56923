import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { newQueryClient } from '@/api/queries'
import { fakeServer, judged, type Asked } from '@/shared/testing/server'
import { words } from '@/texts/en'
import PaperPlace from './PaperPlace.vue'
import SittingPlace from './SittingPlace.vue'
import SlipsPlace from './SlipsPlace.vue'

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
const item = (id: number) => ({
  id,
  version: '',
  number: id - 9,
  task: 'solve',
  given: '2x=4',
  reads,
  worth: 2,
})
const cell = (student: number, id: number, more: object = {}) => ({
  ...{
    student,
    number: id - 9,
    earned: 1,
    of: 2,
    stop: 'wrong',
    error: 'Signs',
    asks: 0,
    overruled: 0,
  },
  ...more,
})
const grid = {
  ...{ id: 's', title: 'Quiz', date: '2026-11-20', school: 'method-accuracy', job: null },
  ...{ accuracy_follows: false, school_class: 'Period 3', released: null },
  ...{ versions: [''], had: { 1: '', 2: '' } },
  items: [item(10), item(11)],
  students: [
    { id: 1, code: '01' },
    { id: 2, code: '02' },
  ],
  cells: [cell(1, 10), cell(1, 11, { earned: 2, stop: 'ok', error: '' }), cell(2, 10, { asks: 1 })],
}
const mark = (key: string, earned: number, more: object = {}) => ({
  ...{ key, kind: 'method', worth: 1, proposed: earned, earned, line: 1 },
  ...{ because: `Line 1: ${key}.`, overruled: false, why: '' },
  ...more,
})
const work = (id: number, more: object = {}) => ({
  ...{
    item: id,
    lines: ['x=3'],
    answer_alone: true,
    waiting: false,
    refused: '',
    late: false,
    right: false,
  },
  ...{ checked: [judged('x=3', 'wrong')], marks: [mark('factors', 0), mark('answer', 1)] },
  ...{ earned: 1, of: 2, ask: [], alike: 3, comment: '', draft: '' },
  ...more,
})
const blank = work(11, { lines: [], checked: [], marks: [], earned: null, of: null, alike: 0 })
const paper = {
  ...{ student: { id: 1, code: '01' }, version: '', versions: [''], items: [item(10), item(11)] },
  works: [work(10), blank],
}

const line = (text: string, latex = text) => ({ text, latex, spoken: text })
const slip = {
  ...{ code: '02', earned: 3, of: 7 },
  entries: [
    {
      ...{ number: 1, given: reads, line: 2, wrote: line('3x = 9', ''), name: 'Signs' },
      ...{ says: 'Say why.', instead: line('3x = 21'), comment: '', twin: line('2x=6') },
    },
    {
      ...{ number: 2, given: reads, line: 0, wrote: line('', ''), name: '', says: '' },
      ...{ instead: null, comment: 'Well done.', twin: null },
    },
  ],
}
const sent: Asked[] = []
const scanned: object = { pages: [], job: null }
function server(asked: Asked) {
  if (asked.method !== 'GET') sent.push(asked)
  if (asked.path.endsWith('/table')) {
    const rows = [
      { at: 1, taken: true, says: '' },
      { at: 2, taken: false, says: '“09” is no code of this class.' },
    ]
    return { body: { changed: 1, rows, grid } }
  }
  if (asked.path.endsWith('/slips')) return { body: [slip] }
  if (asked.path.startsWith('/api/scans/')) return { body: scanned }
  return { body: asked.path.includes('/papers/') ? paper : grid }
}

async function opened(
  place: typeof PaperPlace | typeof SittingPlace | typeof SlipsPlace,
  props: object,
) {
  fakeServer(server)
  sent.length = pushed.length = 0
  const plugins: [typeof VueQueryPlugin, object][] = [
    [VueQueryPlugin, { queryClient: newQueryClient() }],
  ]
  const stubs = { RouterLink: { template: '<a><slot /></a>' } }
  const shown = mount(place as typeof PaperPlace, {
    props: props as never,
    global: { plugins, stubs },
  })
  await flushPromises()
  return shown
}

test('the grid shows where each paper left, what it earned, and what asks', async () => {
  const place = await opened(SittingPlace, { id: 's' })
  const rows = place.findAll('tbody tr')
  expect(rows).toHaveLength(2)
  expect(rows[0]?.text()).toContain('3 / 4')
  expect(rows[1]?.text()).toContain('?')
  await place.find('input[type=checkbox]').setValue(true)
  expect(place.findAll('tbody tr')).toHaveLength(1)
  await place.find('tbody td:nth-child(3)').trigger('click')
  expect(pushed).toEqual([{ name: 'paper', params: { id: 's', student: 2 }, hash: '#item-1' }])
  place.unmount()
})

test('papers come in as a table; what is not taken is told row by row and stays in the field', async () => {
  const place = await opened(SittingPlace, { id: 's' })
  const field = place.find('textarea')
  await field.setValue('01,1,x=2\n09,1,x=2')
  await place.find('form').trigger('submit')
  await flushPromises()
  expect(sent.at(-1)?.body).toEqual({ text: '01,1,x=2\n09,1,x=2' })
  expect(place.text()).toContain(words.papers.taken(1))
  expect(place.text()).toContain('is no code of this class')
  expect((field.element as HTMLTextAreaElement).value).toContain('09')
  place.unmount()
})

test('a paper stands on its spine with its marks; lines are stored when the field is left', async () => {
  const place = await opened(PaperPlace, { id: 's', student: '1' })
  expect(place.findAll('.item')).toHaveLength(2)
  expect(place.find('.item').text()).toContain('Line 1: factors.')
  expect(place.findAll('.item')[1]?.text()).toContain(words.papers.missing)
  const field = place.findAll('.written textarea')[1]
  await field?.setValue('2x = 4\nx = 2')
  expect(place.text()).toContain(words.papers.saving)
  await field?.trigger('blur')
  await flushPromises()
  expect(sent.at(-1)?.body).toEqual({ works: [{ item: 11, lines: ['2x = 4', 'x = 2'] }] })
  await place.findAll('.written textarea')[0]?.trigger('blur')
  expect(sent).toHaveLength(1) // nothing was changed there
  place.unmount()
})

test('a mark is decided otherwise, on all papers that wrote the same', async () => {
  const place = await opened(PaperPlace, { id: 's', student: '1' })
  const number = place.find('.el-input-number input')
  await number.setValue('1')
  await number.trigger('change')
  await flushPromises()
  const body = { item: 10, key: 'factors', earned: 1, why: '', alike: true }
  expect(sent.at(-1)?.body).toEqual(body)
  place.unmount()
})

test('what was not marked in time is marked again on request', async () => {
  const late = work(10, { refused: 'It took too long.', late: true, checked: [], marks: [] })
  paper.works[0] = late
  const place = await opened(PaperPlace, { id: 's', student: '1' })
  const again = place.find('.item [role=alert] button, .item [role=alert] el-button')
  await again.trigger('click')
  await flushPromises()
  expect(sent.at(-1)?.path).toMatch(/\/mark$/)
  paper.works[0] = work(10)
  place.unmount()
})

test('a window with something typed asks before it is closed', async () => {
  const place = await opened(PaperPlace, { id: 's', student: '1' })
  const closes = () => !window.dispatchEvent(new Event('beforeunload', { cancelable: true }))
  expect(closes()).toBe(false)
  await place.findAll('.written textarea')[1]?.setValue('x = 2')
  expect(closes()).toBe(true)
  place.unmount()
})

test('keys change the student and go to the next question', async () => {
  const place = await opened(PaperPlace, { id: 's', student: '1' })
  const press = (key: string) =>
    window.dispatchEvent(new KeyboardEvent('keydown', { key, altKey: true }))
  press('ArrowLeft')
  expect(pushed).toEqual([])
  press('ArrowRight')
  press('ArrowDown')
  const next = { name: 'paper', params: { id: 's', student: 2 } }
  expect(pushed).toEqual([next, next])
  place.unmount()
})

test('a slip says where a student left, what is right there, and what to do', async () => {
  const place = await opened(SlipsPlace, { id: 's' })
  const text = place.find('.slips li').text()
  for (const part of ['02', words.papers.youWrote(2), '3x = 9', words.papers.rightLine, 'Say why.'])
    expect(text).toContain(part)
  place.unmount()
})
