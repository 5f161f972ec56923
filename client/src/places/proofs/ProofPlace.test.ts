import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { words } from '@/texts/en'
import ProofPlace from './ProofPlace.vue'

vi.mock('vue-router', async () => {
  const { nobodyLeaves } = await import('@/shared/testing/router')
  return { useRouter: () => ({ ...nobodyLeaves, push: () => undefined }) }
})
afterEach(() => void vi.unstubAllGlobals())

const line = (text: string, verdict: string) => ({ text, latex: text, verdict })
const bare = { at: 1, task: 'solve', latex: 'x', options: [], faults: [], notes: [], repeats: null }
const report = [
  { ...bare, number: '1', given: 'a', status: 'holds', lines: [line('x=5', 'ok')] },
  {
    ...bare,
    number: '2',
    given: 'b',
    status: 'wrong',
    line: 1,
    name: 'Loses a sign',
    lines: [line('x=7', 'wrong'), line('x=8', 'ok')],
    correction: ['x = 7 or x = -7'],
    missing: ['x = -7'],
    repeats: { of: 0, how: 'structure' },
  },
  { ...bare, number: '', given: 'c', status: 'no-answer', answer: '12', lines: [] },
]

function server({ method, path, body }: Asked) {
  const proof = { id: 'p', title: 'Sheet 7', text: '', report, accepted: [] as unknown, job: null }
  if (method === 'PUT' && path.endsWith('/accepted')) proof.accepted = body['places']
  return { body: proof }
}

async function opened() {
  const calls = fakeServer(server)
  const place = mount(ProofPlace, {
    props: { id: 'p' },
    global: { stubs: { RouterLink: true }, mocks: {} },
  })
  await flushPromises()
  return { place, calls }
}

test('each item says what does not hold, at its line, and what it repeats', async () => {
  const { place } = await opened()
  const items = place.findAll('.item')

  expect(place.find('[role=status]').text()).toContain(words.proofs.counts(1, 3))
  expect(items[1]?.findAll('.stop').map((stop) => stop.attributes('data-mark'))).toEqual([
    'wrong',
    'parallel',
  ])
  expect(items[1]?.text()).toContain('Loses a sign')
  expect(items[1]?.text()).toContain('x = −7')
  expect(items[1]?.text()).toContain(words.proofs.repeats('1', 'structure'))
  expect(items[2]?.text()).toContain('12')
  await place.find('[role=status] input').setValue(true)
  expect(place.findAll('.item')).toHaveLength(2)
})

test('corrections are accepted one by one or all', async () => {
  const { place, calls } = await opened()

  await place.findAll('.item input[type=checkbox]')[0]?.setValue(true)
  await flushPromises()
  await place.findAll('button')[0]?.trigger('click')
  await flushPromises()

  const sent = calls.filter(({ method }) => method === 'PUT').map(({ body }) => body['places'])
  expect(sent).toEqual([[1], [1, 2]])
  const boxes = place.findAll('.item input[type=checkbox]')
  expect(boxes.map((box) => (box.element as HTMLInputElement).checked)).toEqual([true, true])
})
