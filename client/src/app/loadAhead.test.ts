import { expect, test, vi } from 'vitest'
import type { Router } from 'vue-router'
import { loadAhead } from './loadAhead'

test('places are loaded while nobody waits; one that fails, or is loaded already, is passed over', async () => {
  vi.stubGlobal('requestIdleCallback', (call: () => void) => call())
  const load = vi.fn((name: string) =>
    name === 'sets' ? Promise.reject(new Error('away')) : Promise.resolve(),
  )
  const resolve = ({ name }: { name: string }) => ({
    matched: [{ components: { default: name === 'bench' ? {} : () => load(name) } }],
  })
  const more = vi.fn(() => Promise.reject(new Error('away')))
  loadAhead({ resolve } as unknown as Router, [more])
  await Promise.resolve()
  expect(more).toHaveBeenCalledOnce()
  expect(load.mock.calls.map(([name]) => name)).toEqual(['examples', 'sets', 'set', 'show'])
})
