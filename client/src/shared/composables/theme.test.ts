import { expect, test } from 'vitest'
import { nextTick } from 'vue'
import { entered } from '@/shared/testing/server'
import { theme, toggleTheme, useRoomLight } from './theme'

test("the room's light is apart from the desk's", async () => {
  const seen = () => document.documentElement.dataset['theme']
  toggleTheme()
  await nextTick()
  expect([theme.value, seen()]).toEqual(['dark', 'dark'])
  const { leave } = entered(useRoomLight)
  await nextTick()
  expect(seen()).toBe('light')
  toggleTheme()
  toggleTheme()
  leave()
  await nextTick()
  expect(seen()).toBe('dark')
  toggleTheme()
})
