/** The list of sets: what is brought in is told row by row and taken back as one; typing problems; keeping everything. */
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import AddProblems from './AddProblems.vue'
import BroughtIn from './BroughtIn.vue'
import KeepEverything from './KeepEverything.vue'
import SetsPlace from './SetsPlace.vue'

/** What the dialog for a file is told to call; a test gives it a file. */
let give: (files: File[]) => void
vi.mock('@vueuse/core', async (original) => ({
  ...(await original<object>()),
  useFileDialog: () => ({
    open: () => give([new File(['x'], 'sheet.csv')]),
    onChange: (call: typeof give) => (give = call),
  }),
}))
const push = vi.fn()
vi.mock('vue-router', async () => {
  const { nobodyLeaves } = await import('@/shared/testing/router')
  return { useRouter: () => ({ ...nobodyLeaves, push }) }
})
let sent: unknown
vi.mock('@/api/files', () => ({ sendFile: async () => sent }))

beforeEach(() => {
  sent = {
    set: { id: 'new', title: 'From a file' },
    rows: [
      { at: 2, taken: true, says: 'taken', given: '2x=6' },
      { at: 3, taken: false, says: 'There is no problem in it.', given: '' },
    ],
  }
})
afterEach(() => {
  document.body.innerHTML = ''
  vi.useRealTimers()
  vi.unstubAllGlobals()
})
const DIALOG = {
  ElDialog: { props: ['modelValue'], template: '<div v-if="modelValue"><slot /></div>' },
}

const set = (id: string, title: string) => ({
  id,
  title,
  form: '',
  changed: '2026-01-01T10:00:00Z',
  item_count: 4,
  unit: null,
  tags: [],
})

function answers(rows: () => object[]) {
  return ({ method, path }: Asked): { status?: number; body: unknown } => {
    if (path === '/api/sets' && method === 'GET') return { body: { results: rows(), next: null } }
    if (path === '/api/examples') {
      const row = { id: 'e', title: 'Rope', task: 'solve', given: '2x=6', why: 'skill: divide' }
      return { body: { results: [{ ...row, difficulty: 2 }], next: null } }
    }
    if (method === 'DELETE') return { status: 204, body: null }
    if (method === 'POST') return { status: 201, body: set('made', '') }
    return { body: [] }
  }
}

test('an import says what was not taken, and is taken back as one', async () => {
  const calls = fakeServer(answers(() => []))
  const brought = shown(BroughtIn, {}, DIALOG)

  await press(brought, words.sets.bringIn)
  await flushPromises()
  expect(brought.text()).toContain(words.sets.broughtIn(1, 2))
  expect(brought.findAll('li').map((row) => row.text().replace(/\s+/g, ' '))).toEqual([
    'Row 3 There is no problem in it.',
  ])
  await press(brought, words.sets.takeBack)
  await flushPromises()

  expect(calls.map(({ method, path }) => `${method} ${path}`)).toContain(
    'DELETE /api/exchange/set/new',
  )
  expect(brought.text()).not.toContain(words.sets.broughtIn(1, 2))
})

test('sets are listed, started, put aside; an empty list says what a set is', async () => {
  let rows = [set('s', 'Harbour sheet')]
  const calls = fakeServer((asked) => {
    if (asked.method === 'DELETE') rows = []
    return answers(() => rows)(asked)
  })
  const place = shown(SetsPlace, {}, DIALOG)
  await flushPromises()
  expect(place.find('tbody').text()).toContain('Harbour sheet')

  await press(place, words.sets.start)
  await flushPromises()
  expect(push).toHaveBeenCalledWith({ name: 'set', params: { id: 'made' } })
  await press(place, words.examples.putAside)
  await flushPromises()

  expect(place.text()).toContain(words.sets.none)
  expect(calls.some(({ method, path }) => method === 'DELETE' && path === '/api/sets/s')).toBe(true)
})

const ADDING = { modelValue: true, inSet: [] }

test('an example to be added tells why it was found', async () => {
  fakeServer(answers(() => []))
  const place = shown(AddProblems, { ...ADDING, make: vi.fn() }, DIALOG)
  await flushPromises()

  expect(place.find('li').text()).toContain('skill: divide')
  await place.find('li button').trigger('click')
  expect(place.emitted('add')).toEqual([['e']])
})

test('typed problems stay where they are when they are refused', async () => {
  fakeServer(answers(() => []))
  const make = vi.fn().mockResolvedValueOnce({ added: 2, refused: ['2: kept as text: …'] })
  const place = shown(AddProblems, { ...ADDING, make }, DIALOG)
  await place.find('input[value=typed]').setValue(true)
  await place.find('textarea').setValue('2x = 6')

  await place.find('form').trigger('submit')
  await flushPromises()
  expect(make).toHaveBeenCalledWith({ text: '2x = 6' })
  expect(place.find('[role=status]').text()).toBe(`${words.sets.made(2)} 2: kept as text: …`)
  expect((place.find('textarea').element as HTMLTextAreaElement).value).toBe('')
})

test('everything is restored in the background, and what came back is told', async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true })
  const job = { id: 'j', kind: 'restore', done: 0, total: null, message: '', outcome: null }
  sent = { ...job, state: 'waiting' }
  const outcome = { examples: 5, sets: 2 }
  fakeServer(() => ({ body: { ...job, state: 'done', outcome } }))
  const keep = shown(KeepEverything)

  await press(keep, words.sets.restore)
  await flushPromises()
  expect(keep.find('.job').exists()).toBe(true)
  await vi.advanceTimersByTimeAsync(600)
  await flushPromises()

  expect(keep.find('[role=status]').text()).toBe(words.sets.restored(5, 2))
})
