import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { blank } from '@/example/content'
import { fakeServer, settled } from '@/shared/testing/server'
import { unfolded } from '@/shared/testing/unfolded'
import { words } from '@/texts/en'
import AskedFor from './AskedFor.vue'
import EarlierVersions from './EarlierVersions.vue'
import ProblemWeight from './ProblemWeight.vue'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const worked = {
  difficulty: { score: 4.6, reasons: ['8 moves', '1 minus sign'] },
}

test('how hard a problem is is worked out only when it is opened', async () => {
  const calls = fakeServer(() => ({ body: worked }))
  const content = { ...blank(), given: '2(x+5) = 5x-8', lines: ['x = 1'] }
  const weight = mount(ProblemWeight, { props: { content } })
  await settled(1000)
  expect(calls).toHaveLength(0)
  await unfolded(weight)
  await settled(1000)
  expect(calls[0]?.body['lines']).toEqual([])
  expect(weight.text()).toContain('8 moves')
})

test('an earlier version comes back as it was', async () => {
  const content = { ...blank(), given: '2x = 4', lines: ['x = 2'] }
  fakeServer(() => ({ body: [{ version: 3, taken: '2026-11-24T09:00:00Z', content }] }))
  const dialog = { template: '<div><slot /></div>' }
  const button = { template: '<button><slot /></button>' }
  const versions = mount(EarlierVersions, {
    props: { modelValue: false, id: 'a' },
    global: { stubs: { ElDialog: dialog, ElButton: button } },
  })
  await versions.setProps({ modelValue: true })
  await flushPromises()
  expect(versions.text()).toContain('2x = 4')
  await versions.find('button').trigger('click')
  expect(versions.emitted('back')?.[0]).toEqual([content])
  expect(versions.emitted('update:modelValue')?.[0]).toEqual([false])
})

test('a rule of the house is set for one example and taken back', async () => {
  const asked = mount(AskedFor, {
    props: { task: 'simplify', unknown: 'x', numbers: 'real', form: [], house: { density: 'key' } },
  })
  expect(asked.text()).toContain(words.bench.ownRules)
  await unfolded(asked)
  const selects = asked.findAllComponents({ name: 'ElSelect' })
  expect(selects[0]?.props('modelValue')).toBe('key')
  selects[1]?.vm.$emit('change', 'tighter')
  selects[0]?.vm.$emit('change', '')
  expect(asked.emitted('change')).toEqual([
    [{ house: { density: 'key', juxtaposition: 'tighter' } }],
    [{ house: {} }],
  ])
})
