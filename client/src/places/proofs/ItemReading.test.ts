import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import type { Schemas } from '@/api/client'
import ErrataSlip from './ErrataSlip.vue'
import ItemReading from './ItemReading.vue'

const ITEM = {
  number: '3',
  at: 4,
  task: 'solve',
  given: 'x^2 = 49',
  lines: [{ text: 'x = 7', latex: null, verdict: 'loses', role: 'chain', remark: '' }],
  options: [],
  notes: ['by roots'],
  status: 'wrong',
  correction: ['x = 7 or x = -7'],
} as unknown as Schemas['ProofItem']

function reading() {
  return mount(ItemReading, { props: { item: ITEM, joinable: true, busy: false } })
}

test('the reading is corrected line by line; what was not touched stays', async () => {
  const form = reading()
  expect(form.find('textarea').element.value).toBe('x^2 = 49\nx = 7')

  await form.find('textarea').setValue('x^2 = 49\n x = 7 or x = -7 ')
  form.findComponent({ name: 'ElSelect' }).vm.$emit('update:modelValue', 'factor')
  await form.trigger('submit')

  expect(form.emitted('keep')?.[0]).toEqual([
    [
      expect.objectContaining({
        number: '3',
        task: 'factor',
        given: 'x^2 = 49',
        lines: ['x = 7 or x = -7'],
        notes: ['by roots'],
      }),
    ],
  ])
})

test('an empty line begins a new item, and nothing at all keeps nothing', async () => {
  const form = reading()
  await form.find('textarea').setValue('x^2 = 49\nx = 7\n\n\n2x = 6\nx = 3')
  await form.find('textarea').trigger('keydown', { key: 'Enter', ctrlKey: true })

  const [items] = form.emitted('keep')?.[0] as [
    { given: string; number: string; notes: string[] }[],
  ]
  expect(items.map((item) => [item.given, item.number, item.notes.length])).toEqual([
    ['x^2 = 49', '3', 1],
    ['2x = 6', '', 0],
  ])
  await form.find('textarea').setValue('  \n ')
  await form.trigger('submit')
  expect(form.emitted('keep')).toHaveLength(1)
  await form.trigger('keydown', { key: 'Escape' })
  expect(form.emitted('leave')).toHaveLength(1)
})

test('the errata slip has a row for every accepted correction: what was, what is', () => {
  const missing = { ...ITEM, number: '', lines: [], status: 'no-answer', answer: 'x = 3' }
  const items = [ITEM, { ...ITEM, number: '4' }, missing as unknown as Schemas['ProofItem']]
  const slip = mount(ErrataSlip, { props: { title: 'Unit 3', items, accepted: [0, 2] } })

  const rows = slip.findAll('tbody tr').map((row) => row.text())
  expect(rows).toHaveLength(2)
  expect(rows[0]).toContain('x = 7 or x = −7')
  expect(rows[1]).toContain('nothing stood there')
  expect(rows[1]).toContain('x = 3')
  expect(slip.find('h1').text()).toContain('Unit 3')
})
