import { mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import PoseProblem from './PoseProblem.vue'
import { fakeServer, settled } from '@/shared/testing/server'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.unstubAllGlobals())

const READING = {
  text: '2x = 6',
  latex: '2x=6',
  sides: { left: '2x', sign: '=', right: '6' },
  spoken: '2 x equals 6',
}
const FAILURE = { code: 'unreadable', message: 'A bracket is never closed.', at: 2 }

function posing(given = '') {
  fakeServer(({ body }) =>
    String(body.text).includes('(') ? { status: 422, body: FAILURE } : { body: READING },
  )
  return mount(PoseProblem, { attachTo: document.body, props: { given } })
}

test('what is typed is typeset and said in words', async () => {
  const pose = posing()

  await pose.find('input').setValue('2x=6')
  await settled(100)

  expect(pose.find('.spoken').text()).toBe('2 x equals 6')
  expect(pose.find('.katex').exists()).toBe(true)
})

test('what cannot be read says why and points at the place', async () => {
  const pose = posing()
  const field = pose.find('input')

  await field.setValue('2x(=6')
  await settled(100)
  await pose.find('.where').trigger('click')

  expect(pose.find('.where').text()).toBe(FAILURE.message)
  expect(field.element.selectionStart).toBe(2)
  expect(field.element.value).toBe('2x(=6')
})

test('Enter keeps the problem, an empty one is not kept', async () => {
  const pose = posing()

  await pose.find('form').trigger('submit')
  expect(pose.emitted('pose')).toBeUndefined()
  await pose.find('input').setValue('2x = 6')
  await pose.find('form').trigger('submit')

  expect(pose.emitted('pose')).toEqual([['2x = 6']])
})

test('Escape leaves the problem as it was', async () => {
  const pose = posing('2x = 6')

  await pose.find('input').trigger('keydown', { key: 'Escape' })

  expect(pose.emitted('leave')).toHaveLength(1)
})

test('an answer to an older text is not shown', async () => {
  const waiting: ((answer: { body: unknown }) => void)[] = []
  fakeServer(() => new Promise((resolve) => void waiting.push(resolve as never)) as never)
  const pose = mount(PoseProblem, { props: { given: '' } })

  await pose.find('input').setValue('x')
  await settled(100)
  await pose.find('input').setValue('xy')
  await settled(100)
  waiting[0]?.({ body: { ...READING, spoken: 'the older one' } })
  await settled(10)
  expect(pose.text()).not.toContain('the older one')
  waiting[1]?.({ body: READING })
  await settled(10)

  expect(pose.text()).toContain('2 x equals 6')
})
