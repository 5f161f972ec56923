import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer, judged } from '@/shared/testing/server'
import { words } from '@/texts/en'
import KeyPlace from './KeyPlace.vue'

afterEach(() => void vi.unstubAllGlobals())

const SIDES = { left: '2x', sign: '=', right: '6' }
const EXAMPLE = { title: '', task: 'solve', given: '2x = 6', lines: ['x = 6', 'x = 3'], form: [] }
const ERROR = { id: 'e', name: 'Does the step on one side only', says: '', also: [] }

function answers(path: string): unknown {
  if (path.endsWith('/inspect')) return { reads: { text: '2x = 6', sides: SIDES, spoken: '' } }
  if (path.endsWith('/check')) {
    const lines = [
      judged('x = 6', 'wrong', { error: ERROR }),
      judged('x = 3', 'ok', { says: 'Divide.' }),
    ]
    return { lines, checks: [], answer: {} }
  }
  return EXAMPLE
}

function key() {
  return mount(KeyPlace, {
    props: { id: '7' },
    global: {
      stubs: {
        RouterLink: { template: '<a><slot /></a>' },
        ElButton: { template: '<button><slot /></button>' },
      },
    },
  })
}

test('the key draws the given and every line with its reason or its error', async () => {
  fakeServer(({ path }) => ({ body: answers(path) }))
  const place = key()
  await flushPromises()

  const marks = place.findAll('.line').map((line) => line.attributes('data-mark'))

  expect(marks).toEqual(['given', 'wrong', 'parallel'])
  expect(place.findAll('.words').map((cell) => cell.text())).toEqual([
    words.key.given,
    `${words.stops.wrong} Does the step on one side only`,
    `${words.stops.parallel} Divide.`,
  ])
  expect(place.find('h1').text()).toBe(words.bench.untitled)
})

test('printing is asked of the browser', async () => {
  fakeServer(({ path }) => ({ body: answers(path) }))
  const print = vi.fn()
  vi.stubGlobal('print', print)
  const place = key()
  await flushPromises()

  await place.find('button').trigger('click')

  expect(print).toHaveBeenCalledTimes(1)
})

test('a key that cannot be made says why', async () => {
  const gone = { code: 'not-found', message: 'This example is not there (any more).', at: null }
  fakeServer(() => ({ status: 404, body: gone }))
  const place = key()

  await flushPromises()

  expect(place.find('[role=alert]').text()).toContain(gone.message)
})
