import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { words } from '@/texts/en'
import CandidateCheck from './CandidateCheck.vue'
import SpineLine from './SpineLine.vue'
import Stop from './Stop.vue'
import type { Mark, StopLine } from './types'

const MARKS: Mark[] = [
  'given',
  'ok',
  'condition',
  'may-add',
  'loses',
  'wrong',
  'unfinished',
  'unproved',
  'unreadable',
  'doubt',
  'parallel',
  'check',
  'waiting',
]

function shape(mark: Mark): string {
  const stop = mount(Stop, { props: { sign: '=', mark } })
  return stop.find('.shape').html()
}

test('every mark has a shape of its own, so that it survives a photocopier', () => {
  const shapes = MARKS.map((mark) => shape(mark).replace(/data-v-\w+=""/g, ''))

  expect(new Set(shapes).size).toBe(MARKS.length)
})

test.each(MARKS)('the stop “%s” is said in words', (mark) => {
  const stop = mount(Stop, { props: { sign: '=', mark } })

  expect(stop.attributes('aria-label')).toBe(words.stops[mark])
})

const LINE: StopLine = {
  number: 2,
  text: 'x=3',
  mark: 'ok',
  sides: { left: 'x', sign: '=', right: '\\frac{6}{2}' },
  spoken: 'x equals 6 over 2',
  words: 'Divide both sides by 2.',
}

test('a line shows both sides, its number and its reason, and is said once', () => {
  const line = mount(SpineLine, { props: { line: LINE } })

  expect(line.find('.number').text()).toBe('Line 2')
  expect(line.find('.words').text()).toBe('Divide both sides by 2.')
  expect(line.findAll('.u-unseen').map((part) => part.text().trim())).toEqual([
    'Line',
    LINE.spoken,
    '',
  ])
  expect(line.findAll('.katex')).toHaveLength(2)
})

test('a line that cannot be read stays as it was typed', () => {
  const props = { line: { ...LINE, mark: 'unreadable' as const, sides: null, text: 'x = (' } }
  const line = mount(SpineLine, { props })

  expect(line.find('code').text()).toBe('x = (')
  expect(line.find('.says').text()).toBe(words.stops.unreadable)
})

test('a given expression hangs on an empty stop', () => {
  const sides = { left: '', sign: '=', right: '18-3' }
  const line = mount(SpineLine, { props: { line: { ...LINE, number: 0, mark: 'given', sides } } })

  expect(line.find('text').text()).toBe('')
  expect(line.find('.left').text()).toBe('')
})

test('a candidate shows the arithmetic of both sides and whether they balance', () => {
  const side = [
    { text: '2*3 + 1', latex: '2 \\cdot 3+1' },
    { text: '7', latex: '7' },
  ]
  const check = {
    value_latex: 'x=2',
    value: 'x = -3',
    left: '7',
    right: '8',
    left_lines: side,
    right_lines: [{ text: '8', latex: '8' }],
    holds: false,
    missing: false,
    says: 'does not balance',
  }
  const shown = mount(CandidateCheck, { props: { check } })

  expect(shown.attributes('data-holds')).toBe('false')
  expect(shown.find('.value').text()).toContain('x=2')
  expect(shown.findAll('.katex')).toHaveLength(4)
  expect(shown.text()).toContain('does not balance')
})
