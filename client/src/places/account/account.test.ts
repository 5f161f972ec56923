import { flushPromises } from '@vue/test-utils'
import type { Component } from 'vue'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer } from '@/shared/testing/server'
import { press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import PasswordRoom from './PasswordRoom.vue'
import PlacesRoom from './PlacesRoom.vue'
import { browserOf } from './browser'

afterEach(() => {
  document.body.innerHTML = ''
  vi.unstubAllGlobals()
})

const LINUX = 'Mozilla/5.0 (X11; Linux x86_64) AppleWebKit/537.36 Chrome/140.0 Safari/537.36'
const place = (id: number, here: boolean) => ({
  id,
  here,
  browser: LINUX,
  since: '2026-01-01T10:00:00Z',
})

async function account(room: Component, refused = false) {
  let places = [place(1, true), place(2, false), place(3, false)]
  const calls = fakeServer(({ method, path }) => {
    if (method === 'GET') return { body: places }
    if (refused) return { status: 401, body: { code: 'wrong-password', message: 'No.', at: null } }
    if (path.endsWith('/others')) places = places.slice(0, 1)
    else if (method === 'DELETE') places = places.filter(({ id }) => !path.endsWith(`/${id}`))
    return { status: 204, body: null }
  })
  const found = shown(room)
  await flushPromises()
  return { found, changes: () => calls.filter(({ method }) => method !== 'GET') }
}

test('where one is signed in is seen and ended, one by one or all', async () => {
  const { found, changes } = await account(PlacesRoom)
  expect(found.findAll('li')).toHaveLength(3)
  expect(found.find('li').text()).toContain('Chrome, Linux')
  expect(found.find('li').text()).toContain(words.account.here)

  await press(found, words.account.leave)
  await flushPromises()
  expect(found.findAll('li')).toHaveLength(2)
  await press(found, words.account.leaveOthers)
  await flushPromises()

  expect(found.findAll('li')).toHaveLength(1)
  expect(found.text()).not.toContain(words.account.leaveOthers)
  expect(changes().map(({ path }) => path)).toEqual([
    '/api/session/places/2',
    '/api/session/places/others',
  ])
})

async function change(found: Awaited<ReturnType<typeof account>>['found'], fresh: string) {
  const [old, next] = found.findAll('input[type=password]')
  await old?.setValue('old one')
  await next?.setValue(fresh)
  await found.find('form').trigger('submit')
  await flushPromises()
}

test('the password is changed, and the old one is not kept in the form', async () => {
  const { found, changes } = await account(PasswordRoom)
  await change(found, 'a rope over the quay')

  expect(changes()[0]?.body).toEqual({ old: 'old one', new: 'a rope over the quay' })
  expect(found.text()).toContain(words.account.changed)
  const values = found
    .findAll<HTMLInputElement>('input[type=password]')
    .map((one) => one.element.value)
  expect(values).toEqual(['', ''])
})

test('a wrong old password is said, and the new one stays', async () => {
  const { found } = await account(PasswordRoom, true)
  await change(found, 'a rope over the quay')

  expect(found.find('[role=alert]').text()).toContain('No.')
  const values = found
    .findAll<HTMLInputElement>('input[type=password]')
    .map((one) => one.element.value)
  expect(values).toEqual(['', 'a rope over the quay'])
})

test.each([
  [LINUX, 'Chrome, Linux'],
  ['Mozilla/5.0 (Windows NT 10.0) Gecko/20100101 Firefox/140.0', 'Firefox, Windows'],
  ['Mozilla/5.0 (Macintosh; Intel Mac OS X 14) Version/18 Safari/605.1', 'Safari, macOS'],
  ['Mozilla/5.0 (Windows NT 10.0) Chrome/140 Safari/537 Edg/140.0', 'Edge, Windows'],
  ['', words.account.someBrowser],
])('a browser that says “%s” is %s', (text, said) => {
  expect(browserOf(text)).toBe(said)
})
