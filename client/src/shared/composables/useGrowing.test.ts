import { expect, test, vi } from 'vitest'
import { ref } from 'vue'
import { entered, settled } from '@/shared/testing/server'
import { useGrowing } from './useGrowing'

test('a long list is drawn in parts until all of it stands; what comes later is drawn too', async () => {
  vi.useFakeTimers()
  const count = ref(35)
  const { value: drawn, leave } = entered(() => useGrowing(() => count.value))
  expect(drawn.value).toBe(10)
  await settled(50)
  expect(drawn.value).toBeGreaterThanOrEqual(35)
  count.value = 36 // one that is added stands at once: it is given the focus
  expect(drawn.value).toBeGreaterThanOrEqual(36)
  leave()
  vi.useRealTimers()
})
