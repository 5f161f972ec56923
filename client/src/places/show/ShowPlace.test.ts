import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer, judged, type Asked } from '@/shared/testing/server'
import { queries } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import ShowPlace from './ShowPlace.vue'
import TrackPlace from './TrackPlace.vue'

vi.mock('vue-router', () => ({ useRouter: () => ({ push: () => undefined }) }))
afterEach(() => void vi.unstubAllGlobals())

const sides = { left: 'x', sign: '=', right: '2' }
const told = (text: string, more: object = {}) => ({
  text,
  verdict: 'ok',
  latex: text,
  sides,
  lit: { ...sides, right: '\\htmlClass{lit}{2}' },
  spoken: text,
  say: `say ${text}`,
  ask: 'What now?',
  watch: [{ name: 'Slips', wrong: 'x=9', wrong_latex: 'x=9', counter: '1 is not 2.' }],
  ...more,
})

const marked = { ...sides, right: '\\htmlClass{m-0-1}{4}' }
const mark = { kind: 'beneath', on: 0, part: 'm-0-1', pair: 0, sign: '÷', signed: false }
const two = { text: '2', latex: '2', spoken: 'two' }
const drawn = [
  { text: '2x=4', sides: marked, marks: [] },
  { text: 'x=4/2', sides, marks: [{ ...mark, text: two }] },
  { text: 'x=2', sides, marks: [] },
]
const cell = (text: string) => ({ text, math: null, typst: '', mark: '' })
const pairs = {
  kind: 'pairs',
  line: 1,
  says: 'Product 6, sum 5: 2 and 3.',
  parts: [],
  rows: [[cell('2'), cell('3')]],
  lines: [],
}

function server({ path }: Asked) {
  if (path.endsWith('/draw')) return { body: { lines: drawn } }
  if (path.endsWith('/beside')) return { body: { works: [pairs] } }
  if (path.includes('/log/example/')) return { body: [] }
  if (path.endsWith('/tell')) return { body: { lines: [told('2x=4'), told('x=4/2'), told('x=2')] } }
  if (path.endsWith('/check')) {
    const lines = [judged('x=4/2', 'ok'), judged('x=2', 'ok')]
    return { body: { lines, first_wrong: null, answer: {}, checks: [] } }
  }
  if (path.endsWith('/forks')) {
    const fork = { after: 1, error: 'e', name: 'Halves wrongly', because: 'Because.', wrong: 'x=8' }
    return { body: { forks: [{ ...fork, wrong_latex: 'x=8', counter: '8 is not 4.' }] } }
  }
  return { body: { id: 'a', title: 'Ferry', task: 'solve', given: '2x=4', lines: [], note: '' } }
}

async function shown() {
  fakeServer(server)
  const stubs = { RouterLink: true }
  const place = mount(ShowPlace, { props: { id: 'a' }, global: { plugins: [queries()], stubs } })
  await flushPromises()
  const press = async (...keys: string[]) => {
    for (const key of keys) window.dispatchEvent(new KeyboardEvent('keydown', { key }))
    await flushPromises()
  }
  return { place, press }
}

test('only the given stands there at first; keys reveal line by line, what is new is lit', async () => {
  const { place, press } = await shown()
  expect(place.findAll('.line')).toHaveLength(1)
  await press('ArrowRight')
  expect(place.findAll('.line')).toHaveLength(2)
  expect(place.findAll('.lit')).toHaveLength(1)
  await press(' ', ' ', ' ')
  expect(place.findAll('.line')).toHaveLength(3)
  expect(place.text()).toContain(words.show.count(2, 2))
  await press('s')
  expect(place.findAll('.lit')).toHaveLength(0)
  await press('Home')
  expect(place.findAll('.line')).toHaveLength(1)
  place.unmount()
})

test('the class predicts, and a fork is opened and struck at its line', async () => {
  const { place, press } = await shown()
  await press('p')
  expect(place.find('.asked').text()).toContain('What now?')
  await press('f')
  expect(place.find('.fork').exists()).toBe(false)
  await press('ArrowRight', 'f')
  expect(place.find('.fork').text()).toContain(words.show.isIt)
  await press('f')
  expect(place.find('.fork').attributes('data-struck')).toBe('true')
  expect(place.find('.fork').text()).toContain('8 is not 4.')
  await press('ArrowLeft')
  expect(place.find('.fork').exists()).toBe(false)
  place.unmount()
})

test('the talk track says what to say, to ask and to watch for', async () => {
  fakeServer(server)
  const track = mount(TrackPlace, {
    props: { id: 'a' },
    global: { plugins: [queries()], stubs: { RouterLink: true } },
  })
  await flushPromises()
  const rows = track.findAll('tbody tr')
  expect(rows).toHaveLength(3)
  expect(rows[0]?.text()).toContain('Slips')
  expect(rows[0]?.text()).not.toContain('What now?')
  expect(rows[2]?.text()).toContain('say x=2')
  expect(track.text()).not.toContain('Product 6')
  const boxes = track.findAllComponents({ name: 'ElCheckbox' })
  boxes[1]?.vm.$emit('update:modelValue', true)
  await flushPromises()
  expect(rows[1]?.text()).toContain('Product 6, sum 5: 2 and 3.')
})

test('an example that cannot be had says why and can be asked for again', async () => {
  const message = 'The database does not answer.'
  fakeServer(() => ({ status: 503, body: { code: 'database-away', message, at: null } }))
  const place = mount(ShowPlace, {
    props: { id: 'a' },
    global: { plugins: [queries()], stubs: { RouterLink: true } },
  })
  await flushPromises()
  expect(place.find('[role=alert]').text()).toContain(message)
  fakeServer(server)
  await place.find('[role=alert] button, [role=alert] el-button').trigger('click')
  await flushPromises()
  place.unmount()
})

test('after the last line the check comes, candidate by candidate', async () => {
  const line = (latex: string) => ({ text: latex, latex })
  const check = (value: string, holds: boolean) => ({
    ...{ value, value_latex: value, left: '4', right: '4', holds },
    left_lines: [line('2\\cdot 2'), line('4')],
    right_lines: [line('4')],
    says: holds ? 'balances' : 'does not balance',
  })
  const checks = [check('x=2', true), check('x=-2', false)]
  fakeServer((asked) =>
    asked.path.endsWith('/check')
      ? { body: { ...(server(asked).body as object), checks } }
      : server(asked),
  )
  const place = mount(ShowPlace, {
    props: { id: 'a' },
    global: { plugins: [queries()], stubs: { RouterLink: true } },
  })
  await flushPromises()
  window.dispatchEvent(new KeyboardEvent('keydown', { key: 'End' }))
  await flushPromises()
  expect(place.text()).toContain(words.show.count(4, 4))
  const marks = place.findAll('.line').map((row) => row.attributes('data-mark'))
  expect(marks).toEqual(['given', 'ok', 'ok', 'check', 'fails'])
  expect(place.findAll('.words').at(-1)?.text()).toContain('does not balance')
  place.unmount()
})

test('the checks come before the line that leaves a candidate out, and strike its track', async () => {
  const side = (value: string) => ({ left: 'x', sign: '=', right: value })
  const both = { left: '', sign: '', right: 'x=2 or x=-2', tracks: [side('2'), side('-2')] }
  const lines = [
    { ...judged('x=2 or x=-2', 'ok'), sides: both },
    { ...judged('x=2', 'ok'), sides: side('2') },
  ]
  const check = (value: string, holds: boolean) => ({
    ...{ value, value_latex: value, left: '4', right: '4', holds, left_lines: [], right_lines: [] },
    says: holds ? 'balances' : 'does not balance',
  })
  const checks = [check('x=2', true), check('x = -2', false)]
  fakeServer((asked) => {
    const body = server(asked).body as object
    return asked.path.endsWith('/check') ? { body: { ...body, lines, checks } } : { body }
  })
  const place = mount(ShowPlace, {
    props: { id: 'a' },
    global: { plugins: [queries()], stubs: { RouterLink: true } },
  })
  await flushPromises()
  const tracks = () => place.findAll('.track').map((one) => one.attributes('data-below'))
  const below: (string | undefined)[][] = []
  for (let step = 0; step < 4; step += 1) {
    window.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight' }))
    await flushPromises()
    below.push(tracks())
  }
  const marks = place.findAll('.line').map((row) => row.attributes('data-mark'))
  expect(marks).toEqual(['given', 'ok', 'check', 'fails', 'ok'])
  const open = ['last', 'last']
  expect(below).toEqual([open, open, ['last', 'ends'], ['joins', 'ends']])
  place.unmount()
})
