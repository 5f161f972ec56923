import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { unfolded } from '@/shared/testing/unfolded'
import FoldOut from './FoldOut.vue'

const folded = (open?: boolean) =>
  mount(FoldOut, { props: { summary: 'More', open }, slots: { default: '<i>inside</i>' } })

test('what is folded away is made when it is opened, and kept when it is closed again', async () => {
  const fold = folded()
  expect(fold.text()).toBe('More')
  await unfolded(fold)
  expect(fold.text()).toBe('Moreinside')
  const inside = fold.find('i').element
  ;(fold.find('details').element as HTMLDetailsElement).open = false
  await fold.find('details').trigger('toggle')
  expect(fold.find('details').attributes('open')).toBeUndefined()
  expect(fold.find('i').element).toBe(inside)
})

test('what is to be seen from the beginning is', () => {
  expect(folded(true).text()).toBe('Moreinside')
})
