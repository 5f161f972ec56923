import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer } from '@/shared/testing/server'
import { shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import TaughtMethods from './TaughtMethods.vue'

afterEach(() => void vi.unstubAllGlobals())

test('each school is worked as it is taught, one way of a kind at a time', async () => {
  const quadraticWays = ['factor-and-zero-product', 'complete-the-square', 'quadratic-formula']
  const offered = [
    { key: 'quadratic', task: 'solve', given: 'x^2 = 4', methods: quadraticWays },
    { key: 'root', task: 'simplify', given: 'sqrt(8)', methods: ['prime-factorisation'] },
  ]
  const calls = fakeServer(({ path, body }) =>
    path.endsWith('/schools')
      ? { body: offered }
      : { body: { reads: { latex: 'x' }, lines: [{ text: '1', latex: String(body['given']) }] } },
  )
  const schools = shown(TaughtMethods, { methods: ['quadratic-formula', 'cross-multiply'] })
  await flushPromises()
  expect(calls).toHaveLength(1 + offered.length)
  expect(schools.findAll('figure')).toHaveLength(offered.length)
  expect(schools.find('legend').text()).toBe(words.house.schools.quadratic)
  const quadratic = schools.find('fieldset').findAll('input[type=radio]')
  expect((quadratic[3]?.element as HTMLInputElement).checked).toBe(true)

  await quadratic[1]?.setValue(true)
  await quadratic[0]?.setValue(true)

  expect(schools.emitted('choose')).toEqual([
    [['cross-multiply', 'factor-and-zero-product']],
    [['cross-multiply']],
  ])
})
