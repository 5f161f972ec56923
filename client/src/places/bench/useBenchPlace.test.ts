import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { ref } from 'vue'
import { entered, fakeServer, settled } from '@/shared/testing/server'
import { useBenchPlace } from './useBenchPlace'

const replace = vi.fn(() => Promise.resolve())
/** Told where one is going, as the router tells it. */
let going: (to: object, from: object) => void
const hook = () => () => undefined
vi.mock('vue-router', () => ({
  isNavigationFailure: () => false,
  NavigationFailureType: {},
  useRouter: () => ({
    replace,
    push: vi.fn(),
    beforeEach: (guard: typeof going) => ((going = guard), hook()),
    afterEach: hook,
    onError: hook,
  }),
}))

beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
  replace.mockClear()
})
afterEach(() => void vi.unstubAllGlobals())

/** A server that answers after a second. */
function slow(body: object, status = 200) {
  return fakeServer((async () => {
    await new Promise((done) => setTimeout(done, 1000))
    return { body, status }
  }) as unknown as Parameters<typeof fakeServer>[0])
}

test('the last example opens; not for somebody who has gone on meanwhile', async () => {
  slow({ results: [{ id: 'last' }], next: null })
  const stays = entered(() => useBenchPlace(() => undefined, vi.fn()))
  await settled(1100)
  expect(replace).toHaveBeenCalledWith({ name: 'bench', params: { id: 'last' } })

  replace.mockClear()
  const leaves = entered(() => useBenchPlace(() => undefined, vi.fn()))
  await settled(500)
  leaves.leave()
  await settled(1000)
  expect(replace).not.toHaveBeenCalled()

  const onTheWay = entered(() => useBenchPlace(() => undefined, vi.fn()))
  await settled(500)
  going({ name: 'examples' }, { name: 'bench' }) // what is shown there has still to come
  await settled(1000)
  expect(replace).not.toHaveBeenCalled()
  onTheWay.leave()
  stays.leave()
})

test('a new example that is stored late does not bring anybody back to the bench', async () => {
  slow({ id: 'made', version: 1, lines: [] })
  const { value: bench, leave } = entered(() => useBenchPlace(() => 'new', vi.fn()))
  await settled(10)
  bench.pose('2x = 6')
  await settled(800)
  leave()
  await settled(5000)
  expect(replace).not.toHaveBeenCalled()
})

test('an example that is not there says so, and trying again is no use', async () => {
  fakeServer(() => ({ status: 404, body: { code: 'not-found', message: 'Not there.', at: null } }))
  const { value: bench } = entered(() => useBenchPlace(() => 'gone', vi.fn()))
  await settled(10)
  expect([bench.notOpened.value, bench.isGone.value]).toEqual(['Not there.', true])
})

test('working that fails says why, and can be done again', async () => {
  let fails = true
  fakeServer(({ path }) => {
    if (!path.endsWith('/work')) return { body: { lines: [], reads: {}, methods: [], checks: [] } }
    if (fails) return { status: 504, body: { code: 'time-out', message: 'Too long.', at: null } }
    return { body: { lines: [{ text: 'x = 3' }] } }
  })
  const { value: bench } = entered(() => useBenchPlace(() => 'new', vi.fn()))
  bench.pose('2x = 6')
  await bench.workIt()
  expect(bench.working.refusal.value).toBe('Too long.')
  fails = false
  await bench.working.again()
  expect([bench.content.value.lines, bench.working.refusal.value]).toEqual([['x = 3'], ''])
})

test('until an example is here nothing is posed in its place; the one asked for last is the one that opens', async () => {
  const given = (id: string) => ({ id, version: 1, task: 'solve', given: `${id} = x`, lines: [] })
  fakeServer((async ({ path }: { path: string }) => {
    const id = path.split('/').at(-2) ?? ''
    await new Promise((done) => setTimeout(done, id === 'slow' ? 1000 : 100))
    return { body: { example: given(id), checked: null, inspected: null } }
  }) as unknown as Parameters<typeof fakeServer>[0])
  const wanted = ref('first')
  const { value: bench, leave } = entered(() => useBenchPlace(() => wanted.value, vi.fn()))
  expect(bench.isOpening.value).toBe(true)
  await settled(150)
  expect([bench.isOpening.value, bench.content.value.given]).toEqual([false, 'first = x'])

  wanted.value = 'slow'
  await settled(10)
  expect(bench.isOpening.value).toBe(true)
  wanted.value = 'first' // and back, before it has come
  await settled(2000)
  expect([bench.isOpening.value, bench.content.value.given]).toEqual([false, 'first = x'])
  wanted.value = 'new'
  await settled(10)
  expect(bench.isOpening.value).toBe(false)
  leave()
})
