import { mount } from '@vue/test-utils'
import { nextTick, reactive } from 'vue'
import { expect, test } from 'vitest'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'
import LineList from './LineList.vue'

const stop = (number: number): StopLine => ({
  number,
  text: `x = ${number}`,
  mark: 'ok',
  sides: { left: 'x', sign: '=', right: `${number}` },
  spoken: `x equals ${number}`,
  words: '',
})

function list() {
  const state = reactive({ chosen: null as number | null, editing: null as number | null })
  const place = mount(LineList, {
    attachTo: document.body,
    props: {
      given: { ...stop(0), mark: 'given' },
      stops: [stop(1), stop(2), stop(3)],
      texts: ['x = 1', 'x = 2', 'x = 3'],
      hangs: false,
      forksAfter: (number: number) => number,
      forkedAt: 2,
      chosen: state.chosen,
      editing: state.editing,
      'onUpdate:chosen': (index: number | null) => void place.setProps({ chosen: index }),
      'onUpdate:editing': (index: number | null) => void place.setProps({ editing: index }),
    },
  })
  const row = (index: number) => place.findAll('[data-stop]')[index]
  return { place, row }
}

test('arrows choose lines, and below the last the writer goes on', async () => {
  const { place, row } = list()
  await row(0)?.trigger('click')
  await row(0)?.trigger('keydown', { key: 'ArrowDown' })
  await nextTick()
  expect(document.activeElement).toBe(row(1)?.element)
  expect(place.props('chosen')).toBe(1)
  await row(2)?.trigger('keydown', { key: 'ArrowDown' })
  expect(place.emitted('leave')).toHaveLength(1)
  await row(0)?.trigger('keydown', { key: 'ArrowUp' })
  expect(place.props('chosen')).toBe(0)
  place.unmount()
})

test('a track off the spine says how many leave there, and asks for them', async () => {
  const { place } = list()
  const stubs = place.findAll('.stub')
  expect(stubs.map((stub) => stub.attributes('aria-label'))).toEqual(
    [1, 2, 3].map((n) => words.forks.leave(n)),
  )
  expect(stubs.map((stub) => stub.attributes('aria-pressed'))).toEqual(['false', 'true', 'false'])
  await stubs[2]?.trigger('click')
  expect(place.emitted('fork')).toEqual([[3]])
  place.unmount()
})

test('Enter edits the line with its text on both sides, Enter keeps it', async () => {
  const { place, row } = list()
  await row(1)?.trigger('keydown', { key: 'Enter' })
  const label = words.bench.editLabel(2)
  const [left, right] = [label, words.bench.rightSide(label)].map((name) =>
    place.find<HTMLInputElement>(`input[aria-label="${name}"]`),
  )
  expect([left?.element.value, right?.element.value]).toEqual(['x ', ' 2'])
  await right?.setValue(' 7')
  await right?.trigger('keydown', { key: 'Enter' })
  expect(place.emitted('change')).toEqual([[1, 'x = 7']])
  place.unmount()
})

test('Insert writes a new line before the chosen one; left empty, nothing is written', async () => {
  const { place, row } = list()
  await row(1)?.trigger('keydown', { key: 'Insert' })
  const field = place.find(`input[aria-label="${words.bench.insertLabel(2)}"]`)
  await field.setValue('x = 9')
  await field.trigger('keydown', { key: 'Enter' })
  expect(place.emitted('insert')).toEqual([[1, 'x = 9']])
  await row(1)?.trigger('keydown', { key: 'Insert' })
  await place
    .find(`input[aria-label="${words.bench.insertLabel(2)}"]`)
    .trigger('keydown', { key: 'Enter' })
  expect(place.emitted('insert')).toHaveLength(1)
  place.unmount()
})

test('Alt and arrows move a line, but never over the ends; Delete asks to remove it', async () => {
  const { place, row } = list()
  await row(0)?.trigger('keydown', { key: 'ArrowUp', altKey: true })
  expect(place.emitted('move')).toBeUndefined()
  await row(0)?.trigger('keydown', { key: 'ArrowDown', altKey: true })
  await row(2)?.trigger('keydown', { key: 'ArrowDown', altKey: true })
  expect(place.emitted('move')).toEqual([[0, 1]])
  await row(2)?.trigger('keydown', { key: 'Delete' })
  expect(place.emitted('remove')).toEqual([[2]])
  place.unmount()
})
