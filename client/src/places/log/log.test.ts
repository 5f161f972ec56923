import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import BehindPlace from './BehindPlace.vue'
import CodeLogPlace from './CodeLogPlace.vue'
import LogPlace from './LogPlace.vue'

const pushed: unknown[] = []
const query: Record<string, string> = {}
vi.mock('vue-router', async () => {
  const { nobodyLeaves } = await import('@/shared/testing/router')
  return {
    useRouter: () => ({ ...nobodyLeaves, push: (to: unknown) => pushed.push(to) }),
    useRoute: () => ({ query }),
  }
})
afterEach(() => {
  document.body.innerHTML = ''
  vi.unstubAllGlobals()
  vi.useRealTimers()
})

const math = (text: string) => ({
  ...{ text, latex: text, spoken: text, sides: { left: 'x', sign: '=', right: '2' } },
})
const row = (error: string, count: number, more: object = {}) => ({
  ...{
    error,
    name: `Error ${error}`,
    too_soon: false,
    since: '2026-10-16',
    trend: '',
    lesson: null,
  },
  ...{ seen: false, count, cells: [{ count, of: 28 }, null, { count: 0, of: 20 }], ...more },
})
const columns = [
  { kind: 'sitting', id: 's1', title: 'Quiz', date: '2026-10-16' },
  { kind: 'lesson', id: 'l1', title: 'Again', date: '2026-10-20' },
  { kind: 'sitting', id: 's2', title: 'Test', date: '2026-11-16' },
]
const next = {
  ...{ error: 'a', name: 'Error a', count: 9, of: 28, sitting: 's1', title: 'Quiz', coming: 2 },
  ...{ since: '2026-10-16', trend: '', lesson: 'l1', taught: '2026-10-20', seen: false },
  own: {
    ...{ number: 3, sitting: 's1', title: 'Quiz', given: math('g'), before: math('b') },
    ...{ wrong: math('w'), instead: null, says: '', count: 5 },
  },
  contrast: {
    ...{ error: 'a', name: 'Error a', before: math('c1'), wrong: math('c2'), right: math('c3') },
    ...{ says: '', beside: math('c4'), becomes: math('c5') },
  },
  ...{ says: 'Count the arrows.', why: '' },
}
const log = {
  ...{ id: 'c', title: 'Period 3', waiting: 0, learning: null, columns },
  rows: [
    row('a', 9, { trend: 'worse', seen: true, lesson: 'l1' }),
    ...Array.from({ length: 16 }, (_, n) => row(`b${n}`, 1)),
    row('e', 4, { too_soon: true }),
  ],
}

function server({ method, path }: Asked) {
  if (path.endsWith('/next')) return { body: [next] }
  if (path.endsWith('/again')) return { body: { lesson: 'l9', set: null } }
  if (path.endsWith('/taught')) {
    const one = { error: 'a', name: 'Error a', taught: '2026-10-20', lesson: 'l1', reviews: [] }
    return { body: [{ ...one, due: '2026-10-22' }] }
  }
  if (path.startsWith('/api/lessons/reviews'))
    return { body: method === 'PUT' ? {} : { days: [2, 7, 21], free: [] } }
  if (path.endsWith('/unnamed')) {
    const one = { sitting: 's1', title: 'Quiz', date: '2026-10-16', number: 3, version: '' }
    return { body: [{ ...one, line: math('odd'), count: 4 }] }
  }
  if (path.endsWith('/own-slips')) {
    const line = { example: 'e', title: 'Crates', line: math('x=6') }
    return { body: { lines: [line], keys: [{ id: 'k', title: 'Key', count: 2 }] } }
  }
  if (path === '/api/lessons') return { body: [] }
  if (path.startsWith('/api/classes/'))
    return { body: { id: 'c', title: 'Period 3', year: '', students: [{ id: 5, code: '05' }] } }
  return { body: log }
}

async function opened() {
  const calls = fakeServer(server)
  const place = shown(LogPlace, { id: 'c' })
  await flushPromises()
  await new Promise((done) => setTimeout(done, 5))
  await flushPromises()
  return { place, calls }
}

test('errors by time: so many of so many, what is rare on request, stops too soon apart', async () => {
  const { place } = await opened()
  expect(place.findAll('tbody tr')).toHaveLength(14 + 2)
  expect(place.find('tbody').text()).toContain('9/28')
  expect(place.find('tbody').text()).toContain(words.log.tooSoon)
  expect(place.find('[data-trend=worse]').exists()).toBe(true)
  expect(place.text()).toContain(words.log.sinceLesson)
  await press(place, words.log.rest(3))
  expect(place.findAll('tbody tr')).toHaveLength(17 + 2)
})

test('what to teach again has its reasons, the class’s own line and a pair, and goes into a lesson', async () => {
  const { place, calls } = await opened()
  const card = place.find('article')
  expect(card.text()).toContain(words.log.reasons.made(9, 28, 'Quiz'))
  expect(card.text()).toContain(words.log.reasons.coming(2))
  expect(card.text()).toContain(words.log.reasons.unseen)
  expect(card.text()).toContain(words.log.own(5))
  expect(card.text()).toContain(words.log.alike)
  await press(place, words.log.intoLesson)
  await flushPromises()
  const sent = calls.find(({ path }) => path.endsWith('/again'))
  expect(sent?.body).toMatchObject({ error: 'a', into: 'lesson', lesson: null })
  expect(pushed.at(-1)).toEqual({ name: 'lesson', params: { id: 'l9' } })
})

test('lines that nobody knows lead to where they are named; own slips stay in sight', async () => {
  const { place } = await opened()
  expect(place.text()).toContain(words.log.unnamed)
  expect(place.text()).toContain(words.log.papersOf(4))
  expect(place.text()).toContain('Crates')
  expect(place.text()).toContain(words.log.corrections(2))
})

test('the days of reviews are changed; what cannot be read is not sent', async () => {
  const { place, calls } = await opened()
  expect(place.text()).toContain(words.log.reviewsHeld(0))
  const days = place.find<HTMLInputElement>(`[aria-label="${words.lessons.reviews}"]`)
  await days.setValue('3, x')
  await place.find('form').trigger('submit')
  const button = place.findAll('button').find((one) => one.text() === words.lessons.save)
  expect(button?.attributes('disabled')).toBeDefined()
  await days.setValue('3; 9')
  await place.find('form').trigger('submit')
  await flushPromises()
  const sent = calls.filter(({ method }) => method === 'PUT').at(-1)
  expect(sent?.body).toEqual({ days: [3, 9], free: [] })
})

test('a code’s log parts open errors from closed ones and from stops too soon', async () => {
  const one = (error: string, more: object) => ({
    ...{ error, name: `Error ${error}`, too_soon: false, count: 2, since: '2026-10-16' },
    times: [{ sitting: 's1', number: 3, date: '2026-10-16' }],
    ...{ last: '2026-10-16', right_since: 0, closed: false, ...more },
  })
  const rows = [
    one('a', {}),
    one('b', { too_soon: true }),
    one('c', { closed: true, right_since: 2 }),
  ]
  fakeServer(() => ({ body: { student: 5, code: '05', class_id: 'c', rows } }))
  const place = shown(CodeLogPlace, { id: 'c', student: '5' })
  await flushPromises()
  const heads = place.findAll('h2').map((head) => head.text())
  expect(heads).toEqual([words.log.openErrors, words.log.tooSoon, words.log.closedErrors])
  expect(place.text()).toContain(words.log.rightSince(2))
})

test('the papers behind a figure are listed, with their lines', async () => {
  query['sitting'] = 's1'
  const paper = {
    ...{ name: 'Error a', student: 5, code: '05', sitting: 's1', title: 'Quiz' },
    ...{ date: '2026-10-16', number: 3, line: math('w') },
  }
  fakeServer(() => ({ body: [paper, { ...paper, number: 4 }] }))
  const place = shown(BehindPlace, { id: 'c', error: 'a' })
  await flushPromises()
  expect(place.text()).toContain(words.log.papersOf(1))
  expect(place.text()).toContain('Error a')
})
