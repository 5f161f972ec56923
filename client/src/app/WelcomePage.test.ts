import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { current, username } from '@/api/session'
import { session } from '@/api/testing'
import { fakeServer } from '@/shared/testing/server'
import { press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import WelcomePage from './WelcomePage.vue'

afterEach(() => {
  document.body.innerHTML = ''
  vi.unstubAllGlobals()
})

function first(isDemonstration: boolean, may: boolean) {
  current.value = session({ demonstration: isDemonstration, may_begin: may })
  return shown(WelcomePage)
}

test('where nobody can sign in yet, one begins at once', () => {
  const page = first(false, true)
  expect(page.text()).toContain(words.signIn.passwordRule)
  expect(page.text()).not.toContain(words.signIn.haveOne)
})

test('the demonstration says what it is, and leads to an account of one’s own and back', async () => {
  const page = first(true, true)
  expect(page.text()).toContain(words.signIn.demonstration)
  await press(page, words.signIn.beginTitle)
  expect(page.text()).toContain(words.signIn.passwordRule)
  await press(page, words.signIn.haveOne)
  expect(page.text()).toContain(words.signIn.shared)
})

test('where accounts are made by somebody else, one only signs in', () => {
  const page = first(false, false)
  expect(page.text()).not.toContain(words.signIn.beginTitle)
})

test('an account is made and signed in with; a refusal leaves the name', async () => {
  let isGood = false
  const refusal = { code: 'bad-account', message: 'This password is too short.', at: null }
  const calls = fakeServer(() =>
    isGood ? { status: 201, body: session({ username: 'sund' }) } : { status: 422, body: refusal },
  )
  const page = first(false, true)
  await page.find('input[autocomplete=username]').setValue(' sund ')
  await page.find('input[type=password]').setValue('short')
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(page.find('[role=alert]').text()).toBe(refusal.message)
  expect(page.find<HTMLInputElement>('input[autocomplete=username]').element.value).toBe(' sund ')

  isGood = true
  await page.find('input[type=password]').setValue('a rope over the quay')
  await page.find('form').trigger('submit')
  await flushPromises()

  expect(calls.at(-1)?.body).toEqual({ username: 'sund', password: 'a rope over the quay' })
  expect(username.value).toBe('sund')
})
