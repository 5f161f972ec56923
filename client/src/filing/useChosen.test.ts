import { mount } from '@vue/test-utils'
import { expect, test, vi } from 'vitest'
import { h, nextTick, ref, type Ref } from 'vue'
import { useChosen } from './useChosen'

test('what was chosen is forgotten when something else is sought, in the table too', async () => {
  const sought = ref('')
  const clear = vi.fn()
  const rows = {
    setup(_: object, { expose }: { expose: (told: object) => void }) {
      expose({ clear })
      return () => h('table')
    },
  }
  const held: { chosen?: Ref<string[]> } = {}
  const place = mount({
    setup() {
      Object.assign(held, useChosen<string>([sought]))
      return () => h(rows, { ref: 'table' })
    },
  })
  const { chosen } = held
  if (!chosen) throw new Error('nothing can be chosen')
  chosen.value = ['a', 'b']
  await nextTick()
  expect(clear).not.toHaveBeenCalled()
  sought.value = 'rope'
  await nextTick()
  expect(chosen.value).toEqual([])
  expect(clear).toHaveBeenCalledTimes(1)
  place.unmount()
})
