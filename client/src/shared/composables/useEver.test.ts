import { expect, test } from 'vitest'
import { nextTick, ref } from 'vue'
import { useEver } from './useEver'

test('what was so once stays so', async () => {
  const now = ref(false)
  const ever = useEver(now)
  expect(ever.value).toBe(false)
  for (const is of [true, false]) {
    now.value = is
    await nextTick()
    expect(ever.value).toBe(true)
  }
})
