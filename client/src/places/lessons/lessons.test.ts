import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import LessonPlace from './LessonPlace.vue'
import LessonsPlace from './LessonsPlace.vue'
import { bodyOf } from './useLesson'

const pushed: unknown[] = []
vi.mock('vue-router', async () => {
  const { nobodyLeaves } = await import('@/shared/testing/router')
  return { useRouter: () => ({ ...nobodyLeaves, push: (to: unknown) => pushed.push(to) }) }
})
beforeEach(() => {
  localStorage.clear()
  pushed.length = 0
})
afterEach(() => {
  document.body.innerHTML = ''
  vi.unstubAllGlobals()
})

const item = (id: number, more: object = {}) => ({
  ...{ id, example: `e${id}`, title: 'Quay', task: 'solve', given: `${id}x = 4`, reads: null },
  ...{
    role: 'shown',
    note: '',
    star: false,
    first_move: '',
    minutes: null,
    estimated: 4,
    lines: 3,
  },
  ...{ like: null, drop: false, purpose: '', error: '', error_name: '', held: null, done: false },
  ...{ seconds: 0, shown: 0, of: 0, hands: [], forks: [], ...more },
})
const plan = (more: object = {}) => ({
  ...{
    id: 'l',
    version: 1,
    title: 'Brackets',
    date: '2026-12-01',
    minutes: 45,
    note: '',
    unit: null,
  },
  ...{
    class_id: 'c',
    school_class: 'Period 3',
    set: 's',
    set_title: 'Climb',
    begun: null,
    ended: null,
  },
  ...{
    carried_from: null,
    carried_to: null,
    takes: 8,
    a_line: 45,
    items: [item(1), item(2)],
    ...more,
  },
})

let stored = plan()
let due: string[] = []
function server({ method, path, body }: Asked) {
  if (path === '/api/units') return { body: [] }
  if (path.endsWith('/first-moves')) return { body: [{ item: 2, says: 'Divide by 2.' }] }
  if (path.endsWith('/due')) return { body: due }
  if (path.endsWith('/more'))
    return {
      body: {
        lesson: plan({ items: [item(1), item(7), item(8), item(2)] }),
        added: 2,
        refused: [],
      },
    }
  if (path.endsWith('/warm-up'))
    return {
      body: { lesson: plan({ items: [item(9, { purpose: 'review' })] }), added: 1, refused: [] },
    }
  if (path.endsWith('/carry')) return { status: 201, body: plan({ id: 'next' }) }
  if (method === 'PUT') return { body: { ...stored, ...body, version: 2, items: stored.items } }
  return { body: stored }
}

async function lesson(more: object = {}, waiting: string[] = []) {
  stored = plan(more)
  due = waiting
  const calls = fakeServer(server)
  const place = shown(LessonPlace, { id: 'l' })
  await flushPromises()
  await flushPromises()
  return { place, calls }
}

test('a plan says how long it takes, what is like what, and what goes first', async () => {
  const items = [item(1), item(2, { like: 0, drop: true, estimated: 44 })]
  const { place } = await lesson({ items })
  expect(place.text()).toContain(words.lessons.takes(48, 45))
  expect(place.text()).toContain(words.lessons.over(3))
  expect(place.text()).toContain(words.lessons.like(1))
  expect(place.text()).toContain(words.lessons.drop)
  await press(place, words.lessons.skipLike)
  expect(place.findAll('li[data-role=skipped]')).toHaveLength(1)
})

test('two more like it come in place; what is due becomes a warm-up', async () => {
  const { place, calls } = await lesson({}, ['Signs'])
  expect(place.text()).toContain('Signs')
  await press(place, words.lessons.more)
  await flushPromises()
  await flushPromises()
  expect(calls.some(({ path }) => path.endsWith('/items/1/more'))).toBe(true)
  expect(place.findAll('ol > li')).toHaveLength(4)
  expect(place.text()).toContain(words.lessons.moreSays(2))
  await press(place, words.lessons.warmUp(1))
  await flushPromises()
  await flushPromises()
  expect(place.findAll('ol > li')).toHaveLength(1)
  expect(place.text()).toContain(words.lessons.purposes['review'])
})

test('a star proposes the first move, and leaves one that was written', async () => {
  const { place } = await lesson({ items: [item(1), item(2)] })
  const boxes = place.findAll<HTMLInputElement>('input[type=checkbox]')
  await boxes[1]?.setValue(true)
  await flushPromises()
  await flushPromises()
  const move = place.find<HTMLInputElement>(`[aria-label="${words.lessons.firstMove(2)}"]`)
  expect(move.element.value).toBe('Divide by 2.')
})

test('items are moved by key and taken out; what was held stays', async () => {
  const { place } = await lesson({ begun: 'x', items: [item(1), item(2, { held: 'x' })] })
  expect(place.find(`[aria-label="${words.lessons.remove(2)}"]`).exists()).toBe(false)
  const note = place.find(`[aria-label="${words.lessons.noteOf(1)}"]`)
  await note.trigger('keydown', { key: 'ArrowDown', altKey: true })
  expect(place.findAll('ol > li').map((row) => row.text().includes('1x'))).toEqual([false, true])
  await place.find(`[aria-label="${words.lessons.remove(2)}"]`).trigger('click')
  expect(place.findAll('ol > li')).toHaveLength(1)
})

test('a lesson that was held says what was reached, counted and opened, and is carried over', async () => {
  const answer = { label: 'B', text: 'x=9', latex: 'x=9', right: false, error: 'e', name: 'Signs' }
  const held = {
    ...{ held: '2026-12-01T09:00:00Z', shown: 2, of: 5, seconds: 190 },
    hands: [{ after: 0, kind: 'choices', counts: [{ ...answer, count: 8 }] }],
    forks: [{ after: 0, error: 'e', name: 'Signs' }],
  }
  const { place } = await lesson({ begun: 'x', ended: 'x', items: [item(1, held), item(2)] })
  expect(place.text()).toContain(words.lessons.reached(2, 5))
  expect(place.text()).toContain(words.lessons.took(3))
  expect(place.text()).toContain('8 (Signs)')
  expect(place.text()).toContain(words.lessons.notReached)
  await press(place, words.lessons.carry)
  await flushPromises()
  expect(pushed.at(-1)).toEqual({ name: 'lesson', params: { id: 'next' } })
})

test('only what the teacher wrote is stored of an item', () => {
  const body = bodyOf({ ...plan(), unit: null } as never)
  expect(Object.keys(body.items[0] ?? {}).sort()).toEqual(
    ['example', 'first_move', 'id', 'minutes', 'note', 'role', 'star'].sort(),
  )
})

test('lessons are listed with their state; an empty list says what to do', async () => {
  const row = { id: 'l', title: 'Brackets', date: '2026-12-01', class_id: 'c', school_class: 'P3' }
  fakeServer(() => ({ body: [{ ...row, begun: 'x', ended: 'x', count: 4, reached: 3 }] }))
  const place = shown(LessonsPlace)
  await flushPromises()
  expect(place.text()).toContain(words.lessons.state(true, true, 3, 4))
  place.unmount()
  fakeServer(() => ({ body: [] }))
  const empty = shown(LessonsPlace)
  await flushPromises()
  expect(empty.text()).toContain(words.lessons.none)
})
