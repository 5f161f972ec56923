import { expect, test, vi } from 'vitest'
import { ref, watch } from 'vue'
import { entered, settled } from '@/shared/testing/server'
import { useListed } from './useListed'

test('a page is drawn in parts, and the next one is not wanted before all of it stands', async () => {
  vi.useFakeTimers()
  const cursors: string[] = []
  const fetch = (_: object, cursor: string) => {
    cursors.push(cursor)
    const results = Array.from({ length: 30 }, (_, n) => `${cursor}${n}`)
    return Promise.resolve({ results, next: cursor ? null : 'next' })
  }
  const { value: list, leave } = entered(() => useListed('things', ref({}), fetch))
  const seen: string[] = []
  const now = () => `${list.rows.value.length} ${list.hasMore.value}`
  watch(now, (is) => seen.push(is), { immediate: true, flush: 'sync' })
  await settled(20)
  expect(seen).toEqual(['0 false', '10 false', '30 true'])
  void list.more()
  await settled(20)
  expect(list.rows.value).toHaveLength(60)
  expect(cursors).toEqual(['', 'next'])
  leave()
  vi.useRealTimers()
})
