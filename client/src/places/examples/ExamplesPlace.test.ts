import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { chooseIn, press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import ExamplesPlace from './ExamplesPlace.vue'
import { isAll, nothingSought, queryOf } from './sought'

const push = vi.fn()
vi.mock('vue-router', () => ({ useRouter: () => ({ push }) }))
afterEach(() => {
  document.body.innerHTML = ''
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const row = (id: string, more: object) => ({
  id,
  title: '',
  task: 'solve',
  given: '5x - 3 = 12',
  changed: '2026-01-01T10:00:00Z',
  line_count: 3,
  unit: null,
  tags: [],
  difficulty: 2.5,
  stop: 'ok',
  known: true,
  in_sets: [],
  why: '',
  ...more,
})
const ROWS = [
  row('1', {
    title: 'Ferry',
    unit: 'u1',
    tags: ['week 3'],
    in_sets: [{ id: 's', title: 'Sheet' }],
  }),
  row('2', { task: 'evaluate', given: '3^2 * 2', line_count: 0, stop: '', difficulty: null }),
]
const UNITS = [
  { id: 'u1', title: 'Lines', parent: null, position: 0 },
  { id: 'u2', title: 'With brackets', parent: 'u1', position: 0 },
]

function answers(rows: () => object[], next: string | null = null) {
  return ({ method, path }: Asked): { status?: number; body: unknown } => {
    if (path === '/api/units') return { body: UNITS }
    if (path === '/api/examples/tags') return { body: ['week 3'] }
    if (path === '/api/examples' && method === 'GET') return { body: { results: rows(), next } }
    if (method === 'DELETE') return { status: 204, body: null }
    return { body: { count: 1 } }
  }
}

async function place(answer: (asked: Asked) => { status?: number; body: unknown }) {
  const queries: string[] = []
  const calls = fakeServer(answer)
  const inner = globalThis.fetch
  vi.stubGlobal('fetch', (request: Request) => {
    const { pathname, searchParams } = new URL(request.url)
    if (pathname === '/api/examples' && request.method === 'GET') queries.push(String(searchParams))
    return inner(request)
  })
  const list = shown(ExamplesPlace)
  await flushPromises()
  await flushPromises()
  return { list, calls, queries }
}

const texts = (list: Awaited<ReturnType<typeof place>>['list']) =>
  list.findAll('tbody tr').map((line) => line.text().replace(/\s+/g, ' '))

test('every example has its name, problem, last stop, where it is filed and used', async () => {
  const { list } = await place(answers(() => ROWS))

  const [ferry, nameless] = texts(list)
  for (const part of [
    'Ferry',
    'Solve · 3 lines',
    'Lines',
    '5x − 3 = 12',
    'week 3',
    'Sheet',
    '2.5',
  ]) {
    expect(ferry).toContain(part)
  }
  expect(nameless).toContain('3² · 2')
  expect(list.find('tbody svg').attributes('data-mark')).toBe('ok')
})

test('what is still being worked out says so, and is read again until it is known', async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true })
  let known = false
  const { list } = await place(answers(() => [row('1', { known, difficulty: known ? 4 : null })]))
  expect(texts(list)[0]).toContain(words.examples.working)
  expect(list.find('tbody svg').attributes('data-mark')).toBe('waiting')

  known = true
  await vi.advanceTimersByTimeAsync(1700)
  await flushPromises()

  expect(texts(list)[0]).not.toContain(words.examples.working)
  expect(list.find('tbody svg').attributes('data-mark')).toBe('ok')
})

test('what is sought is asked for by words, unit, stop and order', async () => {
  vi.useFakeTimers({ shouldAdvanceTime: true })
  const { list, queries } = await place(answers(() => ROWS))
  expect(queries).toEqual(['order=changed&cursor='])

  await list.find('input[type=search]').setValue(' factor ')
  await vi.advanceTimersByTimeAsync(300)
  await press(list, 'With brackets')
  await chooseIn(list, words.examples.stop, 'wrong')
  await flushPromises()

  expect(queries.at(-1)).toBe('order=changed&words=factor&unit=u2&stop=wrong&cursor=')
})

test('the next page comes when it is wanted', async () => {
  const { list, queries } = await place(answers(() => ROWS, 'NEXT'))

  await press(list, words.waiting.more)
  await flushPromises()

  expect(queries).toEqual(['order=changed&cursor=', 'order=changed&cursor=NEXT'])
  expect(list.findAll('tbody tr')).toHaveLength(4)
})

test('an empty list says what to do first; one in which nothing fits says that', async () => {
  const { list } = await place(answers(() => []))
  expect(list.find('.empty').text()).toContain(words.examples.noneSays)
  await press(list, words.examples.start)
  expect(push).toHaveBeenCalledWith({ name: 'bench', params: { id: 'new' } })

  await list.find('input[type=checkbox]').setValue(true)
  await flushPromises()
  expect(list.find('.empty').text()).toBe(words.examples.nothingFound)
})

test('a list that cannot be had says why, and is tried again', async () => {
  const away = { code: 'database-away', message: 'The database does not answer.', at: null }
  let isAway = true
  const answer = answers(() => ROWS)
  const { list } = await place((asked) =>
    isAway && asked.path === '/api/examples' ? { status: 503, body: away } : answer(asked),
  )
  expect(list.find('[role=alert]').text()).toContain(away.message)

  isAway = false
  await press(list, words.waiting.again)
  await flushPromises()

  expect(list.findAll('tbody tr')).toHaveLength(2)
  expect(list.find('[role=alert]').exists()).toBe(false)
})

test('an example is put aside and brought back', async () => {
  let rows = ROWS
  const answer = answers(() => rows)
  const { list, calls } = await place((asked) => {
    if (asked.method === 'DELETE') rows = ROWS.slice(1)
    if (asked.path.endsWith('/restore')) rows = ROWS
    return answer(asked)
  })

  await press(list, words.examples.putAside)
  await flushPromises()
  expect(list.findAll('tbody tr')).toHaveLength(1)
  await press(list, words.examples.bringBack)
  await flushPromises()

  expect(list.findAll('tbody tr')).toHaveLength(2)
  expect(list.text()).not.toContain(words.examples.wasPutAside(1))
  expect(calls.filter(({ method }) => method !== 'GET').map(({ path }) => path)).toEqual([
    '/api/examples/1',
    '/api/examples/1/restore',
  ])
})

test('chosen examples are filed and tagged together', async () => {
  const { list, calls } = await place(answers(() => ROWS))
  for (const box of list.findAll('tbody input[type=checkbox]')) await box.setValue(true)
  expect(list.text()).toContain(words.units.chosen(2))

  await chooseIn(list, words.units.under, 'u2')
  await flushPromises()
  list.findComponent({ name: 'ElInputTag' }).vm.$emit('update:modelValue', ['test', ' '])
  await flushPromises()
  await press(list, words.units.tag)
  await flushPromises()

  const filed = calls.filter(({ path }) => path === '/api/examples/file').map(({ body }) => body)
  expect(filed).toEqual([
    { ids: ['1', '2'], unit: 'u2', add: [], drop: [] },
    { ids: ['1', '2'], add: ['test'], drop: [] },
  ])
})

test('only what is said is asked for', () => {
  const sought = nothingSought()
  expect(queryOf(sought)).toEqual({ order: 'changed' })
  expect(isAll(sought)).toBe(true)
  expect(isAll({ ...sought, order: 'name' })).toBe(true)
  expect(isAll({ ...sought, hardest: 0 })).toBe(false)
  expect(queryOf({ ...sought, words: '  ', hardest: 0 })).toEqual({ order: 'changed', hardest: 0 })
})
