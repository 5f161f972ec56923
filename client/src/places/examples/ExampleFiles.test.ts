import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer } from '@/shared/testing/server'
import { shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import ExampleFiles from './ExampleFiles.vue'

let bring: (files: { text: () => Promise<string> }[]) => Promise<void>
vi.mock('@vueuse/core', async (actual) => ({
  ...(await actual<object>()),
  useFileDialog: () => ({ open: vi.fn(), onChange: (call: typeof bring) => (bring = call) }),
}))
afterEach(() => void vi.unstubAllGlobals())

async function brought(text: string) {
  const files = shown(ExampleFiles, {})
  await bring([{ text: () => Promise.resolve(text) }])
  await flushPromises()
  return files
}

test('examples of a file are counted when they are there', async () => {
  fakeServer(() => ({ status: 201, body: { count: 3 } }))
  const files = await brought('{"format": "uchuu-examples"}')
  expect(files.find('[role=status]').text()).toBe(words.examples.imported(3))
})

test('what is no such file says so, and nothing is sent', async () => {
  const calls = fakeServer(() => ({ body: {} }))
  const files = await brought('half a fi')
  expect(files.find('[role=status]').text()).toBe(words.examples.badFile)
  expect(calls).toHaveLength(0)
})

test('a refusal is told, and the same file can be tried again', async () => {
  let away = true
  fakeServer(() =>
    away
      ? { status: 503, body: { code: 'away', message: 'The database is away.', at: null } }
      : { status: 201, body: { count: 1 } },
  )
  const files = await brought('{}')
  expect(files.find('[role=alert]').text()).toContain('The database is away.')
  away = false
  await files.find('[role=alert] button').trigger('click')
  await flushPromises()
  expect(files.find('[role=alert]').exists()).toBe(false)
  expect(files.find('[role=status]').text()).toBe(words.examples.imported(1))
})
