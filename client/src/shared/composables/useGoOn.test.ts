import { flushPromises, mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { useGoOn } from './useGoOn'

const empty = { template: '<i />' }

/** Someone in a place asks; `answer` comes later and leads to the made thing. */
async function asked() {
  const router = createRouter({
    history: createMemoryHistory(),
    routes: ['here', 'made', 'elsewhere'].map((name) => ({
      path: `/${name}`,
      name,
      component: empty,
    })),
  })
  await router.push('/here')
  let goOn!: ReturnType<typeof useGoOn>
  mount({ setup: () => void (goOn = useGoOn()), ...empty }, { global: { plugins: [router] } })
  return { router, answer: () => goOn({ name: 'made' }) }
}

test('an answer leads where it was asked to', async () => {
  const { router, answer } = await asked()
  await answer()
  expect(router.currentRoute.value.name).toBe('made')
})

test('whoever went elsewhere meanwhile is not fetched back', async () => {
  const { router, answer } = await asked()
  await router.push('/elsewhere')
  await answer()
  await flushPromises()
  expect(router.currentRoute.value.name).toBe('elsewhere')
})
