import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import type { components } from '@/api/schema'
import { words } from '@/texts/en'
import SideWork from './SideWork.vue'

type Work = components['schemas']['SideWork']
const math = (text: string) => ({ text, latex: text, spoken: text })
const cell = (text: string, mark: '' | 'head' | 'fits' = '') => ({
  ...{ text: '', math: math(text), typst: text, mark },
})
const shown = (more: Partial<Work>) =>
  mount(SideWork, {
    props: {
      work: { kind: 'pairs', line: 1, says: 'Above it.', parts: [], rows: [], lines: [], ...more },
    },
  })

test('a table has its headings, and what fits is told apart', () => {
  const table = shown({ rows: [[cell('one', 'head')], [cell('6')], [cell('7', 'fits')]] })
  expect(table.find('figcaption').text()).toBe('Above it.')
  expect(table.findAll('th')).toHaveLength(1)
  expect(table.findAll('td')).toHaveLength(2)
  expect(table.find('[data-mark=fits]').text()).toContain('7')
})

test('a number line has a stretch between all its points, and open points say so', () => {
  const mark = (text: string, is_open: boolean) => ({
    math: math(text),
    typst: text,
    at: 0,
    is_open,
  })
  const line = shown({
    kind: 'number-line',
    marks: [mark('-2', false), mark('3', true)],
    stretches: [false, true, true].map((belongs) => ({ belongs, sign: '' })),
  })
  expect(line.findAll('line').map((one) => one.classes('belongs'))).toEqual([false, true, true])
  expect(line.findAll('.mark.open')).toHaveLength(1)
  expect(line.find('.mark.open').text()).toContain(words.sideWork.point('3', true))
})

test('a balance has its weights on two pans, what is done to both, and tips to the heavier side', () => {
  const balance = (tilt: number) =>
    shown({
      ...{ kind: 'balance', left: { weights: [cell('2x'), cell('3')] }, tilt },
      ...{ right: { weights: [cell('11')] }, off: tilt ? null : math('3'), off_sign: '−' },
    })
  const level = balance(0)
  expect(level.findAll('.pan').map((pan) => pan.findAll('.weight').length)).toEqual([2, 1])
  expect(level.findAll('.off')).toHaveLength(2)
  expect(balance(1).find('.balance').attributes('data-tilt')).toBe('1')
  expect(balance(1).findAll('.off')).toHaveLength(0)
})
