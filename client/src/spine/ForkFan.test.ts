import { flushPromises, mount } from '@vue/test-utils'
import { expect, test, vi } from 'vitest'
import { words } from '@/texts/en'
import ForkFan from './ForkFan.vue'

const fork = (name: string, more: object = {}) => ({
  after: 0,
  error: name,
  name,
  says: `say ${name}`,
  because: `because ${name}`,
  counter_parts: [],
  counter: 'Try x = 2: 4 is not 5.',
  wrong: `${name} = 1`,
  wrong_latex: 'x=1',
  ends_in: 'x = 2',
  ends_in_latex: 'x=2',
  hidden: false,
  ...more,
})
const line = (text: string) => ({
  text,
  latex: text,
  spoken: text,
  sides: { left: 'x', sign: '=', right: '2' },
  law: 'law',
  says: `by a law ${text}`,
  parts: [],
})

function track(carry = async () => [line('x=3'), line('x=2')]) {
  const forks = [
    fork('first'),
    fork('second', { hidden: true }),
    fork('third', { wrong: 'x = 2', also_names: ['another'] }),
  ]
  return mount(ForkFan, { props: { forks, carry } })
}

test('each fork has its end, and says when the problem cannot tell it', () => {
  const rows = track().findAll('.row')
  expect(rows[0]?.text()).toContain(words.forks.ends)
  expect(rows[1]?.text()).toContain(words.forks.hidden)
  expect(rows[1]?.find('[data-mark=doubt]').exists()).toBe(true)
  expect(rows[2]?.text()).toContain(words.forks.isEnd)
  expect(rows[2]?.text()).toContain(`third${words.forks.or}another`)
})

test('what was crossed out on this example says so', () => {
  const forks = [fork('first', { crossed_out: true }), fork('second')]
  const open = mount(ForkFan, { props: { forks, carry: async () => [] } })
  const said = open.findAll('.row').map((row) => row.text().includes(words.forks.crossedOut))
  expect(said).toEqual([true, false])
})

test('a fork opens with its reason and the lines that carry it on, and closes again', async () => {
  const carry = vi.fn(async () => [line('x=3'), line('x=2')])
  const open = track(carry)
  await open.findAll('.row')[0]?.trigger('click')
  await flushPromises()
  expect(carry).toHaveBeenCalledTimes(1)
  expect(open.find('.opened').text()).toContain('because first')
  expect(open.find('.opened').text()).toContain('Try x = 2')
  expect(open.findAll('.opened li')).toHaveLength(2)
  await open.findAll('.row')[0]?.trigger('click')
  expect(open.find('.opened').exists()).toBe(false)
})

test('the answer of a fork that was left meanwhile is not shown under another', async () => {
  let answer: (lines: ReturnType<typeof line>[]) => void = () => undefined
  const slow = () => new Promise<ReturnType<typeof line>[]>((resolve) => (answer = resolve))
  const open = track(slow as never)
  await open.findAll('.row')[0]?.trigger('click')
  const late = answer
  await open.findAll('.row')[1]?.trigger('click')
  late([line('x=9')])
  await flushPromises()
  expect(open.findAll('.opened li')).toHaveLength(0)
})
