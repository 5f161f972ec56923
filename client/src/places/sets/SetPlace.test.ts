import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { words } from '@/texts/en'
import SetPlace from './SetPlace.vue'

afterEach(() => {
  localStorage.clear()
  vi.unstubAllGlobals()
})

const givens = ['x=1', '2y=4', '3z=9', 'a(b+c)=d-e+f']
const scores: Record<string, number> = { 'x=1': 1, '2y=4': 2, '3z=9': 2.5, 'a(b+c)=d-e+f': 12 }

function server({ path, body }: Asked) {
  const given = String(body['given'])
  if (path.endsWith('/work')) {
    const reads = { text: given, latex: given, sides: {}, spoken: given }
    const difficulty = { score: scores[given], reasons: ['3 moves'] }
    return { body: { reads, lines: [], answer: `answer of ${given}`, difficulty } }
  }
  if (path.endsWith('/screen')) {
    const reveals = [{ error: 'e', name: 'Shared slip', after: 0, wrong: '', ends_in: null }]
    const hides = given === 'x=1' ? [{ ...reveals[0], name: 'Hidden slip' }] : []
    return { body: { reveals, hides } }
  }
  if (path.endsWith('/examples')) {
    return { body: [{ id: 'new', title: 'Newcomer', task: 'solve', given: '5x=5', line_count: 0 }] }
  }
  const items = givens.map((text) => ({
    example: { id: text, title: `about ${text}`, task: 'solve', given: text, lines: [] },
    marks: 2,
    minutes: 3,
  }))
  return { body: { id: 's', title: 'Sheet', instruction: '', version: 1, items } }
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
  expect(said[2]).toBe(words.sets.repeats(2))
  expect(said[3]).toBe(words.sets.jump)
  expect(place.findAll('.dot').map((dot) => dot.text())).toEqual(['1', '2', '2.5', '12'])
  expect(place.text()).toContain(words.sets.total(8, 12))
})

test('a chosen problem tells why it is hard, what it reveals and what it hides', async () => {
  const place = await opened()
  await place.findAll('.problem')[0]?.trigger('click')
  const side = place.find('.side').text()
  expect(side).toContain('answer of x=1')
  expect(side).toContain('3 moves')
  expect(side).toContain('Hidden slip')
  expect(place.find('.covers').text()).toContain(words.sets.times(4))
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
