import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import TodayPlace from './TodayPlace.vue'

const pushed: unknown[] = []
vi.mock('vue-router', async () => {
  const { nobodyLeaves } = await import('@/shared/testing/router')
  return { useRouter: () => ({ ...nobodyLeaves, push: (to: unknown) => pushed.push(to) }) }
})
afterEach(() => {
  document.body.innerHTML = ''
  vi.unstubAllGlobals()
})

const lesson = { id: 'l', title: 'Brackets', date: '2026-12-01', begun: null, ended: null }
const quiet = {
  ...{ id: 'c', title: 'Period 3', year: '2026', size: 28, going: null, lessons: [], carry: [] },
  ...{ due: [], papers: [], asking: [], next: null },
}
const steps = { example: true, set: true, school_class: true }

async function today(found: object) {
  const calls = fakeServer(({ path, method }: Asked) => {
    if (path === '/api/today') return { body: { date: '2026-11-30', last: null, ...found } }
    if (method === 'POST') return { body: { ...lesson, lesson, added: 1, refused: [] } }
    return { body: {} }
  })
  const place = shown(TodayPlace)
  await flushPromises()
  return { place, calls }
}

test('an empty account is told what to do first; what is done is ticked off', async () => {
  const { place } = await today({
    classes: [],
    steps: { ...steps, set: false, school_class: false },
  })
  expect(place.text()).toContain(words.today.steps)
  expect(place.text()).toContain(`${words.today.stepList.example[0]}: ${words.today.done}`)
  expect(place.text()).toContain(words.today.stepList.school_class[1])
})

test('a class says what is due, planned, waiting and pressing; a quiet one says so', async () => {
  const busy = {
    ...quiet,
    going: { ...lesson, id: 'g', title: 'Now' },
    lessons: [lesson],
    carry: [{ id: 'h', title: 'Half', date: '2026-11-27' }],
    due: [{ error: 'e', name: 'Signs', taught: '2026-11-23', lesson: 'x', reviews: [], due: 'y' }],
    papers: [{ id: 's', title: 'Quiz', count: 26 }],
    asking: [{ id: 's', title: 'Quiz', count: 1 }],
    next: { error: 'e', name: 'Signs', count: 9, of: 28 },
  }
  const { place, calls } = await today({ classes: [busy, { ...quiet, id: 'd' }], steps })
  const text = place.text()
  for (const said of [
    words.today.due(1),
    words.today.papers(26),
    words.today.asking(1),
    words.today.carry,
    words.today.nextSays('Signs', 9, 28),
    `Now: ${words.today.goOn}`,
    words.today.none,
  ])
    expect(text).toContain(said)
  expect(text).not.toContain(words.today.steps)
  await press(place, words.today.warmUp)
  await flushPromises()
  expect(calls.some(({ path }) => path === '/api/lessons/l/warm-up')).toBe(true)
  expect(pushed.at(-1)).toEqual({ name: 'lesson', params: { id: 'l' } })
})
