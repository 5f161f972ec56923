import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer } from '@/shared/testing/server'
import { shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import GivePlace from './GivePlace.vue'

afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

async function waited(): Promise<void> {
  await vi.advanceTimersByTimeAsync(100)
  await flushPromises()
}

test('the pages are asked for as they are wished, and files as they are shown', async () => {
  vi.useFakeTimers()
  const asked: string[] = []
  fakeServer(({ path }) =>
    path.includes('/preview/')
      ? {
          body: { pages: ['AAAA', 'BBBB'], text: '1. Solve', refused: ['4: It cannot be worked.'] },
        }
      : { body: { title: 'Sheet' } },
  )
  const inner = globalThis.fetch
  vi.stubGlobal('fetch', (request: Request) => {
    asked.push(request.url)
    return inner(request)
  })
  const place = shown(GivePlace, { id: 's', what: 'key' })
  await waited()
  expect(place.findAll('img').map((page) => page.attributes('alt'))).toEqual([
    words.give.page(1, 2),
    words.give.page(2, 2),
  ])
  expect(place.text()).toContain('4: It cannot be worked.')

  await place.find('input[type=checkbox]').setValue(true)
  place.findComponent({ name: 'ElSelect' }).vm.$emit('update:modelValue', 'fine')
  await waited()

  expect(asked.at(-1)).toContain('forks=true')
  expect(asked.at(-1)).toContain('density=fine')
  expect(place.find('a[href*=".pdf"]').attributes('href')).toContain('forks=true')
})

test('a refusal is told', async () => {
  vi.useFakeTimers()
  fakeServer(() => ({ status: 404, body: { code: 'x', message: 'This set is not there.' } }))
  const place = shown(GivePlace, { id: 's', what: 'handout' })
  await waited()

  expect(place.find('[role=alert]').text()).toContain('This set is not there.')
})
