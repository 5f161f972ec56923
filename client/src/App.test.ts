import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { createRouter, createWebHistory } from 'vue-router'
import { current } from '@/api/session'
import { session } from '@/api/testing'
import { fakeServer } from '@/shared/testing/server'
import { press, queries } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import App from './App.vue'

vi.mock('@/app/loadAhead', () => ({ loadAhead: () => undefined }))

const place = (text: string) => ({ template: `<main id="main">${text}</main>` })

/** Open `address` signed in as `name`, the code of “late” places still on its way; `come` brings it. */
async function opened(address: string, name: string) {
  let come: (how: 'here' | 'lost') => void = () => undefined
  const late = () =>
    new Promise<ReturnType<typeof place>>((found, lost) => {
      come = (how) => (how === 'here' ? found(place('Late')) : lost(new TypeError('no code')))
    })
  fakeServer(({ path }) => ({ body: path === '/api/session' ? session({ username: name }) : {} }))
  history.pushState({}, '', address)
  const router = createRouter({
    history: createWebHistory(),
    routes: [
      { path: '/', name: 'today', component: place('Today') },
      { path: '/late', name: 'late', component: late },
      { path: '/invited', name: 'invited', meta: { open: true }, component: late },
    ],
  })
  const page = mount(App, {
    global: { plugins: [router, queries()], stubs: { Rail: true, KeysOverview: true } },
  })
  await flushPromises()
  return { page, router, come: (how: 'here' | 'lost') => (come(how), flushPromises()) }
}

afterEach(() => {
  current.value = null
  vi.unstubAllGlobals()
})

test('nobody is asked to sign in where a place for everybody is on its way', async () => {
  const { page, come } = await opened('/invited?x', '')
  expect(page.find('input').exists()).toBe(false)
  expect(page.text()).toContain(words.waiting.loading)
  await come('here')
  expect(page.text()).toContain('Late')
  expect(page.text()).not.toContain(words.waiting.loading)
})

test('whoever is not signed in signs in at once, whatever place is on its way', async () => {
  const { page } = await opened('/late', '')
  expect(page.find('input[type=password]').exists()).toBe(true)
})

test('a place that did not load says so, until another came', async () => {
  const { page, router, come } = await opened('/', 'sund')
  expect(page.text()).toContain('Today')
  void router.push('/late').catch(() => null)
  await flushPromises()
  await come('lost')
  expect(page.find('[role=alert]').text()).toContain(words.failures.place)

  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('gone')))
  await press(page, words.waiting.again)
  await flushPromises()
  expect(page.find('[role=alert]').text()).toContain(words.failures.network)

  void router.push('/late')
  await flushPromises()
  await come('here')
  expect(page.find('[role=alert]').exists()).toBe(false)
  expect(page.text()).toContain('Late')
})
