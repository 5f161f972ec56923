import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { unfolded } from '@/shared/testing/unfolded'
import { words } from '@/texts/en'
import OwnRules from './OwnRules.vue'

const mounted = (house: Record<string, string>) => mount(OwnRules, { props: { modelValue: house } })

test('every convention may differ, and most of them wait until they are asked for', async () => {
  const rules = mounted({})
  expect(rules.findAllComponents({ name: 'ElSelect' })).toHaveLength(3)
  expect(rules.find('details').attributes('open')).toBeUndefined()
  await unfolded(rules)
  const selects = rules.findAllComponents({ name: 'ElSelect' })
  expect(selects).toHaveLength(3 + Object.keys(words.house.conventions).length)
  expect(rules.find('summary').text()).toBe(words.house.moreRules)
  const labels = selects.map(
    (select) => select.props('ariaLabel') ?? select.attributes('aria-label'),
  )
  expect(new Set(labels).size).toBe(selects.length)
})

test('a convention that differs is seen at once, changed, and taken back', () => {
  const rules = mounted({ plus_minus: 'kept' })
  expect(rules.find('details').attributes('open')).toBeDefined()
  const select = rules
    .findAllComponents({ name: 'ElSelect' })
    .find((one) => one.props('modelValue') === 'kept')
  select?.vm.$emit('change', 'split')
  select?.vm.$emit('change', '')
  expect(rules.emitted('update:modelValue')).toEqual([[{ plus_minus: 'split' }], [{}]])
})
