import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer } from '@/shared/testing/server'
import { press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import ProofsPlace from './ProofsPlace.vue'

const push = vi.fn()
vi.mock('vue-router', async () => {
  const { nobodyLeaves } = await import('@/shared/testing/router')
  return { useRouter: () => ({ ...nobodyLeaves, push }) }
})
afterEach(() => {
  localStorage.clear()
  vi.unstubAllGlobals()
})
const row = { id: 'p', title: 'Sheet 7', items: 12, faulty: 3, created: '2026-01-01T00:00:00Z' }

test('a pasted key is kept here until it is proofed', async () => {
  let isAway = true
  fakeServer(({ method }) => {
    if (method === 'GET') return { body: { results: [row], next: null } }
    return isAway
      ? { status: 413, body: { code: 'too-large', message: 'At most 200 items.' } }
      : { status: 201, body: { id: 'new' } }
  })
  const place = shown(ProofsPlace)
  await place.find('textarea').setValue('1. x = 1')
  await place.find('textarea').trigger('keydown', { key: 'Enter', ctrlKey: true })
  await flushPromises()
  expect(place.find('[role=alert]').text()).toContain('At most 200 items.')
  const again = shown(ProofsPlace)
  expect((again.find('textarea').element as HTMLTextAreaElement).value).toBe('1. x = 1')

  isAway = false
  await again.find('form').trigger('submit')
  await flushPromises()

  expect(push).toHaveBeenCalledWith({ name: 'proof', params: { id: 'new' } })
  expect(localStorage.getItem('uchuu.key') || null).toBeNull()
})

test('earlier keys say how much of them is to look at; one is put aside and comes back', async () => {
  const calls = fakeServer(({ method }) => ({
    status: method === 'DELETE' ? 204 : 200,
    body: method === 'GET' ? { results: [row], next: null } : {},
  }))
  const place = shown(ProofsPlace)
  await flushPromises()
  expect(place.find('tbody').text()).toContain('Sheet 7')
  expect(place.find('.u-warm').text()).toBe('3')

  await press(place, words.examples.putAside)
  await flushPromises()
  await place.find('[role=status] button').trigger('click')
  await flushPromises()

  const changes = calls
    .filter(({ method }) => method !== 'GET')
    .map(({ method, path }) => [method, path])
  expect(changes).toEqual([
    ['DELETE', '/api/proofs/p'],
    ['POST', '/api/proofs/p/restore'],
  ])
  expect(place.text()).not.toContain(words.examples.wasPutAside(1))
})
