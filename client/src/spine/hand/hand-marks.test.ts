import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { defineComponent, h, ref } from 'vue'
import HandMarks from './HandMarks.vue'
import type { DrawnMark } from './strokes'

beforeEach(() => {
  vi.spyOn(Element.prototype, 'getBoundingClientRect').mockImplementation(
    () => new DOMRect(10, 10, 30, 20),
  )
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe = () => undefined
      disconnect = () => undefined
      unobserve = () => undefined
    },
  )
})
afterEach(() => {
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
})

const two = { text: '2', latex: '2', spoken: 'two' }
const mark = (kind: DrawnMark['kind'], more: Partial<DrawnMark> = {}): DrawnMark => ({
  ...{ kind, on: 0, part: 'm-0-0', pair: 0, sign: '', signed: false, text: null, ...more },
})

async function drawn(marks: DrawnMark[], warm = false) {
  const now = ref(marks)
  const line = defineComponent({
    render: () =>
      h('div', { style: 'font-size: 20px' }, [
        h('span', { class: 'm-0-0' }, [h('i', '3')]),
        h('span', { class: 'm-0-1' }, [h('i', 'x')]),
        h(HandMarks, { marks: now.value, warm }),
      ]),
  })
  const found = mount(line, { attachTo: document.body })
  await flushPromises()
  return { line: found, now }
}

test('each mark is drawn, none takes part in what is read aloud', async () => {
  const { line } = await drawn([
    mark('ring'),
    mark('arrow', { to: 'm-0-1' }),
    mark('beneath', { sign: '+', text: two }),
  ])
  const hand = line.find('.hand')
  expect(hand.attributes('aria-hidden')).toBe('true')
  const paths = hand.findAll('svg > path')
  expect(paths).toHaveLength(2)
  expect(paths[1]?.attributes('marker-end')).toMatch(/^url\(#/)
  expect(hand.find('.note').attributes('data-at')).toBe('below')
  expect(hand.find('.note').text()).toContain('+')
  line.unmount()
})

test('what a student did is warm; a part that is not there bears nothing', async () => {
  const { line } = await drawn([mark('strike', { part: 'm-9-9' })], true)
  expect(line.find('.hand.warm').exists()).toBe(true)
  expect(line.findAll('svg > path')).toHaveLength(0)
  line.unmount()
})

test('marks that change are drawn anew', async () => {
  const { line, now } = await drawn([mark('box')])
  expect(line.findAll('svg > path')).toHaveLength(1)
  now.value = [mark('bracket'), mark('box')]
  await flushPromises()
  await flushPromises()
  expect(line.findAll('svg > path')).toHaveLength(3)
  line.unmount()
})
