import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer } from '@/shared/testing/server'
import { words } from '@/texts/en'
import TaughtMethods from './TaughtMethods.vue'

afterEach(() => void vi.unstubAllGlobals())

test('each school is worked as it is taught, one way of a kind at a time', async () => {
  const calls = fakeServer(({ body }) => ({
    body: { reads: { latex: 'x' }, lines: [{ text: '1', latex: String(body['given']) }] },
  }))
  const schools = mount(TaughtMethods, {
    props: { methods: ['quadratic-formula', 'cross-multiply'] },
  })
  await flushPromises()
  expect(calls).toHaveLength(Object.keys(words.house.schools).length)
  expect(schools.findAll('figure')).toHaveLength(calls.length)
  const quadratic = schools.findAll('input[name=quadratic]')
  expect((quadratic[3]?.element as HTMLInputElement).checked).toBe(true)

  await quadratic[1]?.trigger('change')
  await quadratic[0]?.trigger('change')

  expect(schools.emitted('choose')).toEqual([
    [['cross-multiply', 'factor-and-zero-product']],
    [['cross-multiply']],
  ])
})
