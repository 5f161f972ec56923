import { ElMessageBox } from 'element-plus'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import type { Schemas } from '@/api/client'
import { current } from '@/api/session'
import { session } from '@/api/testing'
import ShareButton from '@/sharing/ShareButton.vue'
import { fakeServer } from '@/shared/testing/server'
import { press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import CopyShared from './CopyShared.vue'
import DepartmentPlace from './DepartmentPlace.vue'
import SharedPlace from './SharedPlace.vue'

afterEach(() => {
  document.body.innerHTML = ''
  current.value = null
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
})

const one = (more: Partial<Schemas['SharedOut']> = {}): Schemas['SharedOut'] => ({
  id: 'a',
  kind: 'set',
  key: 'k',
  title: 'Linear',
  owner: 'varga',
  own: false,
  since: '2026-11-01T10:00:00Z',
  count: 3,
  copied: false,
  changed: false,
  ...more,
})
const page = (shared: Schemas['SharedOut'][], handed: Schemas['HandedOut'][] = []) => ({
  body: { title: 'Mathematics', colleagues: ['varga'], shared, handed },
})

test('at home, without a department, nothing is shared and nothing asked for', async () => {
  const calls = fakeServer(() => page([]))
  current.value = session({ username: 'sund' })
  const button = shown(ShareButton, { kind: 'set', of: 'k' })
  await flushPromises()
  expect(button.text()).toBe('')
  expect(calls).toHaveLength(0)
})

test('a set is shared, and shared no more', async () => {
  let shared: Schemas['SharedOut'][] = []
  const calls = fakeServer(({ method }) => {
    if (method === 'GET') return page(shared)
    if (method === 'DELETE') {
      shared = []
      return { status: 204, body: null }
    }
    shared = [one({ own: true })]
    return { status: 201, body: shared[0] }
  })
  current.value = session({ username: 'sund', department: 'Mathematics' })
  const button = shown(ShareButton, { kind: 'set', of: 'k' })
  await flushPromises()
  await press(button, words.department.share)
  await flushPromises()
  await press(button, words.department.end)
  await flushPromises()
  expect(button.text()).toBe(words.department.share)
  expect(calls.filter(({ method }) => method !== 'GET')).toMatchObject([
    { method: 'POST', body: { kind: 'set', key: 'k' } },
    { method: 'DELETE', path: '/api/shared/a' },
  ])
})

test('the list says what is whose, what was copied, and what changed since', async () => {
  fakeServer(() =>
    page([
      one(),
      one({ id: 'b', title: '', own: true, owner: 'sund', count: 1 }),
      one({ id: 'c', title: 'Old', copied: true }),
      one({ id: 'd', title: 'New', copied: true, changed: true }),
      one({ id: 'e', kind: 'house', key: '', title: '', count: 0 }),
    ]),
  )
  current.value = session({ username: 'sund', department: 'Mathematics' })
  const place = shown(DepartmentPlace)
  await flushPromises()
  const text = place.text()
  expect(text).toContain('Set · 3 problems')
  expect(text).toContain('Set · one problem')
  expect(text).toContain(words.department.untitled)
  expect(text).toContain(words.department.houseOf('varga'))
  expect(text).toContain(words.department.changed)
  expect(place.find('h1').text()).toBe('Mathematics')
})

test('without a department it says who helps', async () => {
  fakeServer(() => ({ body: { title: '', colleagues: [], shared: [], handed: [] } }))
  const place = shown(DepartmentPlace)
  await flushPromises()
  expect(place.text()).toContain(words.department.without)
})

test('a class that is offered is taken, left, or taken back', async () => {
  const offered = {
    id: 4,
    title: '4b',
    year: '2026',
    owner: 'varga',
    to: 'sund',
    own: false,
    at: '2026-11-01T10:00:00Z',
  }
  const calls = fakeServer(({ method }) =>
    method === 'GET'
      ? page([], [offered, { ...offered, id: 5, own: true, owner: 'sund', to: 'varga' }])
      : { status: 204, body: null },
  )
  const place = shown(DepartmentPlace)
  await flushPromises()
  expect(place.text()).toContain(words.department.offers('varga', '4b'))
  await press(place, words.department.take)
  await flushPromises()
  await press(place, words.department.leave)
  await flushPromises()
  await press(place, words.department.takeBack)
  await flushPromises()
  expect(calls.filter(({ method }) => method !== 'GET').map(({ path }) => path)).toEqual([
    '/api/handed/4/take',
    '/api/handed/4',
    '/api/handed/5',
  ])
})

test('a copy is made by a job that is followed, a house only when one is sure', async () => {
  const job = { id: 'j', kind: 'restore', done: 1, total: 1, message: '', outcome: {} }
  const calls = fakeServer(({ path }) =>
    path.startsWith('/api/jobs')
      ? { body: { ...job, state: 'done' } }
      : { status: 201, body: { ...job, state: 'done' } },
  )
  const copy = shown(CopyShared, { row: one() })
  await press(copy, words.department.copy)
  await flushPromises()
  expect(copy.text()).toContain(words.department.done('set'))

  const asks = vi.spyOn(ElMessageBox, 'confirm').mockRejectedValueOnce('cancel')
  const house = shown(CopyShared, { row: one({ kind: 'house', key: '' }) })
  await press(house, words.department.copyHouse)
  await flushPromises()
  expect(asks).toHaveBeenCalledOnce()
  expect(calls.filter(({ path }) => path.endsWith('/copy'))).toHaveLength(1)
})

test('what a colleague shares is read: problems with lines, errors, rules by their names', async () => {
  const content = {
    ...one({ changed: true, copied: true }),
    sets: [
      {
        title: 'Linear',
        instruction: 'Show every line.',
        problems: [{ title: '', task: 'solve', given: '2x = 6', lines: ['x = 3'] }],
      },
    ],
    errors: [{ name: 'n', before: 'a/b', after: 'b/a', when: [], says: 'Not so.' }],
    rules: {},
  }
  fakeServer(({ path }) =>
    path === '/api/algebra/read' ? { body: { latex: '2x=6' } } : { body: content },
  )
  const place = shown(SharedPlace, { id: 'a' })
  await flushPromises()
  const text = place.text()
  expect(text).toContain('Show every line.')
  expect(text).toContain('x = 3')
  expect(text).toContain('Not so.')
  expect(text).toContain(words.department.changed)
  expect(text).toContain(words.department.copyAgain)
})

test('house rules of a colleague are told in words', async () => {
  const rules = { decimal: 'comma', fractions: 'mixed', methods: [] }
  const content = { ...one({ kind: 'house', key: '' }), sets: [], errors: [], rules }
  fakeServer(() => ({ body: content }))
  const place = shown(SharedPlace, { id: 'a' })
  await flushPromises()
  expect(place.find('h1').text()).toBe(words.department.houseOf('varga'))
  expect(place.findAll('dd').map((row) => row.text())).toEqual([
    words.house.comma,
    words.house.conventions.fractions.choices.mixed,
    words.house.noneTaught,
  ])
})
