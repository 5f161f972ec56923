import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { words } from '@/texts/en'
import ExamplesPlace from './ExamplesPlace.vue'

const push = vi.fn()
vi.mock('vue-router', () => ({ useRouter: () => ({ push }) }))
afterEach(() => void vi.unstubAllGlobals())

const ROWS = [
  {
    id: '1',
    title: 'Ferry',
    task: 'solve',
    given: '5x - 3 = 12',
    changed: '2026-01-01T10:00:00Z',
    line_count: 3,
  },
  {
    id: '2',
    title: '',
    task: 'evaluate',
    given: '3^2 * 2',
    changed: '2026-01-02T10:00:00Z',
    line_count: 0,
  },
]

async function place(answer: (asked: Asked) => { status?: number; body: unknown }) {
  const calls = fakeServer(answer)
  const shown = mount(ExamplesPlace, {
    global: {
      stubs: {
        RouterLink: { props: ['to'], template: '<a><slot /></a>' },
        ElButton: { template: '<button><slot /></button>' },
      },
    },
  })
  await flushPromises()
  return { shown, calls }
}

test('every example has its name, problem, task and number of lines', async () => {
  const { shown } = await place(() => ({ body: ROWS }))

  const cells = shown.findAll('tbody tr').map((row) => row.findAll('td').map((cell) => cell.text()))

  expect(cells[0]?.slice(0, 4)).toEqual(['Ferry', '5x − 3 = 12', 'Solve', '3'])
  expect(cells[1]?.slice(0, 4)).toEqual([words.bench.untitled, '3² · 2', 'Evaluate', '0'])
})

test('the list is searched by name, problem and task', async () => {
  const { shown } = await place(() => ({ body: ROWS }))

  for (const [text, count] of [
    ['ferry', 1],
    ['5x', 1],
    ['evaluate', 1],
    ['zebra', 0],
    ['', 2],
  ] as const) {
    await shown.find('input[type=search]').setValue(text)
    expect(shown.findAll('tbody tr')).toHaveLength(count)
  }
})

test('an empty list says what to do first', async () => {
  const { shown } = await place(() => ({ body: [] }))

  expect(shown.find('.empty').text()).toContain(words.examples.noneSays)
  await shown.findAll('button').at(-1)?.trigger('click')

  expect(push).toHaveBeenCalledWith({ name: 'bench', params: { id: 'new' } })
})

test('a list that cannot be had says why', async () => {
  const away = { code: 'database-away', message: 'The database does not answer.', at: null }
  const { shown } = await place(() => ({ status: 503, body: away }))

  expect(shown.find('[role=alert]').text()).toBe(away.message)
})

test('an example is put aside and brought back', async () => {
  let rows = ROWS
  const { shown, calls } = await place(({ method, path }) => {
    if (method === 'DELETE') rows = ROWS.slice(1)
    if (path.endsWith('/restore')) rows = ROWS
    return method === 'DELETE' ? { status: 204, body: null } : { body: rows }
  })

  await shown.find('tbody .quiet-button').trigger('click')
  await flushPromises()
  expect(shown.findAll('tbody tr')).toHaveLength(1)
  await shown.find('.aside .quiet-button').trigger('click')
  await flushPromises()

  expect(shown.findAll('tbody tr')).toHaveLength(2)
  expect(shown.find('.aside').exists()).toBe(false)
  expect(calls.filter(({ method }) => method !== 'GET').map(({ path }) => path)).toEqual([
    '/api/examples/1',
    '/api/examples/1/restore',
  ])
})

test('a file that is not JSON imports nothing', async () => {
  const { shown, calls } = await place(() => ({ body: ROWS }))
  const field = shown.find('input[type=file]')
  Object.defineProperty(field.element, 'files', { value: [new File(['not json'], 'x.json')] })

  await field.trigger('change')
  await flushPromises()

  expect(calls.some(({ method }) => method === 'POST')).toBe(false)
  expect(document.body.textContent).toContain(words.examples.badFile)
})
