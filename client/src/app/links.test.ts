import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { current } from '@/api/session'
import { session } from '@/api/testing'
import { fakeServer } from '@/shared/testing/server'
import { press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import ForgotPassword from './ForgotPassword.vue'
import InvitedPage from './InvitedPage.vue'
import ResetPage from './ResetPage.vue'
import SignIn from './SignIn.vue'

const replace = vi.fn()
vi.mock('vue-router', async (original) => ({
  ...(await original<object>()),
  useRouter: () => ({ replace }),
}))

afterEach(() => {
  document.body.innerHTML = ''
  current.value = null
  vi.unstubAllGlobals()
})

const refusal = (code: string, message: string, status = 422) => ({
  status,
  body: { code, message, at: null },
})

test('after the password the number is asked for, and a wrong one keeps the place', async () => {
  let tries = 0
  const calls = fakeServer(({ path }) => {
    if (path === '/api/session') return refusal('second-factor', 'Now the number.', 401)
    return ++tries === 1
      ? refusal('wrong-number', 'Not this one.', 401)
      : { body: session({ username: 'sund' }) }
  })
  const page = shown(SignIn, { name: 'sund' })
  await page.find('input[type=password]').setValue('right')
  await page.find('form').trigger('submit')
  await flushPromises()

  const number = page.find<HTMLInputElement>('input[autocomplete=one-time-code]')
  expect(page.find('[role=alert]').text()).toBe('')
  await number.setValue(' 123456 ')
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(page.find('[role=alert]').text()).toBe('Not this one.')
  expect(number.element.value).toBe('')
  await number.setValue('654321')
  await page.find('form').trigger('submit')
  await flushPromises()

  expect(calls.map(({ body }) => body['number']).slice(1)).toEqual(['123456', '654321'])
  expect(current.value?.username).toBe('sund')
})

test('who waited too long begins again with the password', async () => {
  fakeServer(({ path }) =>
    path === '/api/session'
      ? refusal('second-factor', 'Now the number.', 401)
      : refusal('begin-again', 'Sign in again.', 401),
  )
  const page = shown(SignIn, { name: 'sund' })
  await page.find('input[type=password]').setValue('right')
  await page.find('form').trigger('submit')
  await flushPromises()
  await page.find('input[autocomplete=one-time-code]').setValue('123456')
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(page.find('input[type=password]').exists()).toBe(true)
  expect(page.find('[role=alert]').text()).toBe('Sign in again.')
})

test('ways of a school are offered only where there are some', async () => {
  current.value = session()
  expect(shown(SignIn).text()).not.toContain(words.signIn.forgot)
  current.value = session({ mails: true, provider: 'your school account' })
  const page = shown(SignIn)
  expect(page.find('a[href="/provider/begin"]').text()).toBe(
    words.signIn.provider('your school account'),
  )
  await press(page, words.signIn.forgot)
  expect(page.text()).toContain(words.signIn.nameOrMail)
  await press(page, words.signIn.back)
  expect(page.find('input[type=password]').exists()).toBe(true)
})

test('a link is asked for; what is said does not tell whether there is such an account', async () => {
  const calls = fakeServer(() => ({ status: 204, body: null }))
  const page = shown(ForgotPassword, { name: 'sund' })
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(calls[0]?.body).toEqual({ name: 'sund' })
  expect(page.find('[role=status]').text()).toBe(words.signIn.sent)
})

test('a link for a new password is used once; a weak one is said and may be changed', async () => {
  let isWeak = true
  const calls = fakeServer(({ method }) => {
    if (method === 'GET') return { body: { name: 'sund' } }
    return isWeak ? refusal('bad-password', 'Too short.') : { status: 204, body: null }
  })
  const page = shown(ResetPage, { token: 'a.b' })
  await flushPromises()
  expect(page.find<HTMLInputElement>('input[autocomplete=username]').element.value).toBe('sund')
  expect(page.find('input[autocomplete=username]').attributes('readonly')).toBeDefined()
  await page.find('input[type=password]').setValue('short')
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(page.find('[role=alert]').text()).toBe('Too short.')

  isWeak = false
  await page.find('input[type=password]').setValue('a rope over the quay')
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(calls.at(-1)).toMatchObject({
    path: '/api/session/reset/a.b',
    body: { password: 'a rope over the quay' },
  })
  expect(page.text()).toContain(words.signIn.reset)
  expect(page.find('form').exists()).toBe(false)
})

test('a link that is no more says so, and leads to signing in', async () => {
  fakeServer(() => refusal('gone', 'This link was used.', 410))
  const page = shown(ResetPage, { token: 'x' })
  await flushPromises()
  expect(page.find('[role=alert]').text()).toContain('This link was used.')
  expect(page.find('a[href="/"]').text()).toBe(words.signIn.title)
})

test('an invitation says from whom and into what; the account is made and signed in with', async () => {
  const calls = fakeServer(({ method }) =>
    method === 'GET'
      ? {
          body: {
            by: 'keeper',
            department: 'Mathematics',
            mail: 'a@b.example',
            administrator: false,
          },
        }
      : { status: 201, body: session({ username: 'sund', department: 'Mathematics' }) },
  )
  const page = shown(InvitedPage, { token: 't' })
  await flushPromises()
  expect(page.text()).toContain(words.signIn.invitedBy('keeper', 'Mathematics'))
  await page.find('input[autocomplete=username]').setValue(' sund ')
  await page.find('input[type=password]').setValue('a rope over the quay')
  await page.find('form').trigger('submit')
  await flushPromises()
  expect(calls.at(-1)?.body).toEqual({
    username: 'sund',
    password: 'a rope over the quay',
    mail: 'a@b.example',
  })
  expect(current.value?.department).toBe('Mathematics')
  expect(replace).toHaveBeenCalledWith({ name: 'today' })
})
