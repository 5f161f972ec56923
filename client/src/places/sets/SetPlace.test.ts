import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { words } from '@/texts/en'
import MakeVersions from './MakeVersions.vue'
import SetPlace from './SetPlace.vue'

vi.mock('vue-router', async () => {
  const { nobodyLeaves } = await import('@/shared/testing/router')
  return { useRouter: () => ({ ...nobodyLeaves, push: () => undefined }) }
})
afterEach(() => {
  vi.useRealTimers()
  localStorage.clear()
  vi.unstubAllGlobals()
})

const givens = ['x=1', '2y=4', '3z=9', 'a(b+c)=d-e+f']
const scores: Record<string, number> = { 'x=1': 1, '2y=4': 2, '3z=9': 2.5, 'a(b+c)=d-e+f': 12 }

const job = { id: 'j', kind: 'versions', total: 8, message: '', outcome: null }
const item = (text: string) => ({
  example: { id: text, title: `about ${text}`, task: 'solve', given: text, lines: [] },
  instruction: '',
  marks: 2,
  minutes: 3,
  facts: facts(text),
})

function facts(given: string) {
  const slip = { error: 'e', name: 'Shared slip', after: 0, wrong: '', ends_in: '' }
  return {
    reads: { text: given, latex: given, sides: {}, spoken: given },
    answer: 'a',
    answer_latex: `answer\\ of\\ ${given}`,
    difficulty: { score: scores[given], reasons: ['3 moves'] },
    reveals: [slip],
    hides: given === 'x=1' ? [{ ...slip, error: 'h', name: 'Hidden slip' }] : [],
    same: given,
    structure: given.length === 4 ? 'like' : given,
    skills: ['divide-both-sides'],
  }
}

function server({ path, method }: Asked) {
  if (path.endsWith('/twins')) {
    const items = [...givens, '4w=8'].map(item)
    const set = { id: 's', title: 'Sheet', instruction: '', version: 2, form: '', house: {}, items }
    return { body: { set, added: 1, refused: ['No room for more.'], keeps: ['It stays.'] } }
  }
  if (path.endsWith('/versions')) return { body: { ...job, state: 'waiting', done: 0 } }
  if (path.includes('/jobs/')) {
    const outcome = { sets: ['b', 'c'], without_twin: 1 }
    return {
      body: method === 'POST' ? { ...job, state: 'cancelled' } : { ...job, state: 'done', outcome },
    }
  }
  if (path.endsWith('/examples')) {
    return { body: [{ id: 'new', title: 'Newcomer', task: 'solve', given: '5x=5', line_count: 0 }] }
  }
  const items = givens.map(item)
  const set = { id: 's', title: 'Sheet', instruction: '', version: 1, form: '', house: {}, items }
  return { body: set }
}

async function opened() {
  fakeServer(server)
  const place = mount(SetPlace, { props: { id: 's' }, global: { stubs: { RouterLink: true } } })
  await flushPromises()
  return place
}

test('the climb names the jump and the exercise that repeats another', async () => {
  const place = await opened()
  const said = place.findAll('.said').map((item) => item.text())
  expect(said[2]).toContain(words.sets.hard(2.5))
  expect(said[2]).toContain(words.sets.repeats(2))
  expect(said[3]).toBe(words.sets.jump)
  expect(place.findAll('.dot').map((dot) => dot.text())).toEqual(['1', '2', '2.5', '12'])
  expect(place.text()).toContain(words.sets.total(8, 12))
})

test('a chosen problem tells why it is hard, what it reveals and what it hides', async () => {
  const place = await opened()
  await place.findAll('.problem')[0]?.trigger('click')
  const side = place.find('.side').text()
  expect(place.find('.side').html()).toContain('answer\\ of\\ x=1')
  expect(side).toContain('3 moves')
  expect(side).toContain('Hidden slip')
  await vi.waitFor(() => expect(place.find('.coverage').exists()).toBe(true))
  const [shared, hidden] = place.findAll('.coverage tbody tr').map((row) => row.text())
  expect(shared).toContain('4')
  expect(hidden).toContain(words.sets.gap)
})

test('arrows choose, Alt and arrows move, Delete takes out', async () => {
  const place = await opened()
  const first = () => place.findAll('.problem').map((row) => row.find('small').text().slice(-4))
  await place.findAll('.problem')[0]?.trigger('click')
  window.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowDown', altKey: true }))
  await flushPromises()
  expect(first().slice(0, 2)).toEqual(['2y=4', ' x=1'])
  await place.findAll('.problem')[1]?.trigger('keydown', { key: 'Delete' })
  expect(place.findAll('.problem')).toHaveLength(3)
})

test('twins are put behind their problem; what they keep and why there are not more is said', async () => {
  const place = await opened()
  await place.findAll('.problem')[0]?.trigger('click')
  window.dispatchEvent(new KeyboardEvent('keydown', { key: 't', altKey: true, code: 'KeyT' }))
  await flushPromises()

  expect(place.findAll('.problem')).toHaveLength(5)
  expect(place.text()).toContain(`${words.sets.made(1)} It stays. No room for more.`)
})

test('parallel versions are made in the background, told of when they are there, and taken back', async () => {
  vi.useFakeTimers()
  const place = await opened()
  const button = place.findAll('button').find((one) => one.text() === words.sets.versions)
  await button?.trigger('click')
  await vi.advanceTimersByTimeAsync(20)
  const dialog = place.findComponent(MakeVersions)
  expect(dialog.props('modelValue')).toBe(true)
  dialog.vm.$emit('make', 2)
  await vi.advanceTimersByTimeAsync(20)
  expect(place.find('.job').text()).toContain(words.jobs.running(0, 8))

  await vi.advanceTimersByTimeAsync(900)

  expect(place.find('.job').exists()).toBe(false)
  expect(place.text()).toContain(words.sets.versionsMade(2))
  expect(place.text()).toContain(words.sets.withoutTwin(1))

  const calls = fakeServer(() => ({ status: 204, body: null }))
  const undo = place.findAll('button').find((one) => one.text() === words.sets.undoVersions)
  await undo?.trigger('click')
  await vi.advanceTimersByTimeAsync(20)
  expect(place.text()).toContain(words.sets.versionsUndone)
  const gone = calls.filter(({ method }) => method === 'DELETE').map(({ path }) => path)
  expect(gone).toEqual(['/api/sets/b', '/api/sets/c'])
})
