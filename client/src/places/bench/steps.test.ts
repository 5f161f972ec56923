/** The next step and two ways side by side: what they ask for and show. */
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { api } from '@/api/client'
import { words } from '@/texts/en'
import ComparePaths from './ComparePaths.vue'
import NextStep from './NextStep.vue'
import { blank } from '@/example/content'

function answers(data: unknown, ok = true) {
  const reply = ok
    ? { data, response: new Response(null, { status: 200 }) }
    : { error: data, response: new Response(null, { status: 422 }) }
  return vi.spyOn(api, 'POST').mockResolvedValue(reply as never)
}

afterEach(() => vi.restoreAllMocks())

const content = { ...blank(), task: 'solve' as const, given: '2x=6', lines: [] }

test('each press goes one depth further, the last one writes the line', async () => {
  answers({
    done: false,
    says: 'Divide both sides by 2.',
    notice: 'What undoes it?',
    law_name: 'divide',
    text: 'x = 3',
    latex: 'x=3',
    spoken: 'x equals 3',
  })
  const panel = mount(NextStep, { props: { content } })

  for (const text of ['What undoes it?', 'Divide both sides by 2.', 'x equals 3']) {
    expect(panel.text()).not.toContain(text)
    await panel.find('button').trigger('click')
    await flushPromises()
    expect(panel.text()).toContain(text)
  }
  await panel.find('button').trigger('click')
  expect(panel.emitted('write')).toEqual([['x = 3']])
  await panel.setProps({ content: { ...content, lines: ['x = 3'] } })
  expect(panel.text()).not.toContain('What undoes it?')
})

test('a refusal is told, and nothing is invented', async () => {
  answers({ code: 'out-of-scope', message: 'Line 1 does not follow.', at: null }, false)
  const panel = mount(NextStep, { props: { content } })

  await panel.find('button').trigger('click')
  await flushPromises()

  expect(panel.text()).toContain('Line 1 does not follow.')
})

test('two ways are weighed in words, and drawn on two spines that divide', async () => {
  const track = (right: string) => ({ left: 'x', sign: '=', right })
  const line = {
    ...{ text: 'x = 3 or x = -3', latex: '', spoken: 'x equals 3', law: 'l', says: 'Says.' },
    sides: { ...track('3 or'), tracks: [track('3'), track('-3')] },
  }
  const path = {
    method: 'quadratic-formula',
    why: '',
    largest: '49',
    with_fractions: 1,
    lines: [line],
  }
  const compared = {
    reads: { text: 'x^2 = 9', latex: '', spoken: '', sides: track('9') },
    paths: [{ ...path, method: 'square-roots', largest: '9' }, path],
    same_until: 0,
    meet: [1, 1],
    shorter: null,
    smaller: 'square-roots',
    fewer_fractions: 'quadratic-formula',
  }
  answers(compared)
  const methods = ['square-roots', 'quadratic-formula'].map((method) => ({
    method,
    why: '',
    lines: 1,
  }))
  const panel = mount(ComparePaths, { props: { content, methods } })
  await flushPromises()

  for (const text of [
    words.compare.partAtOnce,
    words.compare.meet(1, 1),
    words.compare.sameLength,
    'Smaller numbers: square roots.',
    'Fewer fractions: quadratic formula.',
    'Largest number 49; one line with fractions.',
  ]) {
    expect(panel.text()).toContain(text)
  }
  expect(panel.findAll('.track')).toHaveLength(4)
  expect(panel.findAll('[data-shared=meet]')).toHaveLength(2)

  answers({ ...compared, same_until: 1, meet: null })
  const alike = mount(ComparePaths, { props: { content, methods } })
  await flushPromises()
  expect(alike.find('.says').text()).toBe(words.compare.allSame)
})
