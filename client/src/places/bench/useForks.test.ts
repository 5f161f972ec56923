import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { ref } from 'vue'
import { blank } from '@/example/content'
import { entered, fakeServer, settled } from '@/shared/testing/server'
import { useForks } from './useForks'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const fork = (after: number) => ({ after, error: 'e', name: 'n', wrong: `${after}` })

test('forks are asked for only while they are shown, after a pause, for the lines as they are', async () => {
  const calls = fakeServer(() => ({ body: { forks: [fork(0), fork(1), fork(1)] } }))
  const content = ref({ ...blank(), given: '2x = 4', lines: ['x = 2'] })
  const shown = ref(false)
  const { value: forks, leave } = entered(() => useForks(content, shown))
  await settled(1000)
  expect(calls).toHaveLength(0)

  shown.value = true
  content.value.lines.push('x = 3')
  await settled(100)
  content.value.lines.push('x = 4')
  await settled(1000)

  expect(calls).toHaveLength(1)
  expect(calls[0]?.body['lines']).toEqual(['x = 2', 'x = 3', 'x = 4'])
  expect(forks.after(0)).toHaveLength(1)
  expect(forks.after(1)).toHaveLength(2)
  shown.value = false
  await settled(1000)
  expect(forks.after(1)).toHaveLength(0)
  leave()
})

test('less common ones come when they are wanted, until forks are hidden', async () => {
  const calls = fakeServer(() => ({ body: { forks: [fork(0)] } }))
  const content = ref({ ...blank(), given: '2x = 4' })
  const shown = ref(true)
  const { value: forks, leave } = entered(() => useForks(content, shown))
  await settled(1000)
  forks.askForMore()
  await settled(10)
  shown.value = false
  await settled(1000)
  shown.value = true
  await settled(1000)
  expect(calls.map((call) => call.body['most'])).toEqual([null, 6, null])
  leave()
})

test('what cannot be forked says why', async () => {
  fakeServer(() => ({ status: 422, body: { code: 'out-of-scope', message: 'Not yet.', at: null } }))
  const content = ref({ ...blank(), given: '2x = 4' })
  const { value: forks, leave } = entered(() => useForks(content, ref(true)))
  await settled(1000)
  expect(forks.refused.value).toBe('Not yet.')
  expect(forks.isLooking.value).toBe(false)

  forks.again()
  expect(forks.refused.value).toBe('') // not said while it is looked for
  await settled(1000)
  expect(forks.refused.value).toBe('Not yet.')
  leave()
})
