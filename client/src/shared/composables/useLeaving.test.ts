import { flushPromises, mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { defineComponent, h, type Ref } from 'vue'
import { createMemoryHistory, createRouter, RouterView } from 'vue-router'
import { useLeaving } from './useLeaving'

let leaving: Readonly<Ref<boolean>>
const Here = defineComponent({
  setup() {
    leaving = useLeaving()
    return () => h('p', 'here')
  },
})

async function started() {
  let arrive: (component: object) => void = () => undefined
  let fail: (reason: Error) => void = () => undefined
  const far = new Promise<object>((done, broken) => ([arrive, fail] = [done, broken]))
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/:id?', name: 'here', component: Here },
      { path: '/shut/place', name: 'shut', component: Here, beforeEnter: () => false },
      { path: '/far/place', name: 'far', component: () => far as never },
      { path: '/off/place', name: 'off', component: () => new Promise(() => undefined) as never },
    ],
  })
  await router.push('/')
  const app = mount({ render: () => h(RouterView) }, { global: { plugins: [router] } })
  await flushPromises()
  return { app, router, arrive: () => arrive({ render: () => h('p', 'far') }), fail }
}

test('one is leaving as soon as one has chosen another place, however long it takes to come', async () => {
  const { app, router, arrive } = await started()
  expect(leaving.value).toBe(false)
  await router.push('/other')
  expect(leaving.value).toBe(false) // the same place, about something else
  void router.push('/far/place')
  await flushPromises()
  expect([app.text(), leaving.value]).toEqual(['here', true])
  arrive()
  await flushPromises()
  expect([app.text(), leaving.value]).toEqual(['far', true])
})

test('a way that leads nowhere does not count', async () => {
  const { router, fail } = await started()
  await router.push('/shut/place')
  expect(leaving.value).toBe(false)
  const tried = router.push('/far/place').catch(() => 'broken')
  await flushPromises()
  expect(leaving.value).toBe(true)
  fail(new Error('no network'))
  expect(await tried).toBe('broken')
  expect(leaving.value).toBe(false)
})

test('whoever changes their mind on the way is leaving all the same', async () => {
  const { router, arrive } = await started()
  void router.push('/far/place')
  await flushPromises()
  void router.push('/off/place')
  await flushPromises()
  arrive() // too late: it is not wanted any more
  await flushPromises()
  expect([router.currentRoute.value.name, leaving.value]).toEqual(['here', true])
})
