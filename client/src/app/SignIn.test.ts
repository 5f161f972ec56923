import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { signedOut } from '@/api/client'
import { username } from '@/api/session'
import { session } from '@/api/testing'
import { fakeServer } from '@/shared/testing/server'
import SignIn from './SignIn.vue'

afterEach(() => void vi.unstubAllGlobals())

function form(name?: string) {
  return mount(SignIn, {
    props: name ? { name } : {},
    global: { stubs: { ElButton: { template: '<button type="submit"><slot /></button>' } } },
  })
}

test('signing in tells who is there and ends the asking', async () => {
  const calls = fakeServer(() => ({
    body: session({ username: 'marin', demonstration: true }),
  }))
  signedOut.value = true
  const signIn = form()

  await signIn.find('input[autocomplete=username]').setValue(' marin ')
  await signIn.find('input[type=password]').setValue('secret')
  await signIn.find('input[type=checkbox]').setValue(true)
  await signIn.find('form').trigger('submit')
  await flushPromises()

  expect(calls[0]?.body).toEqual({ username: 'marin', password: 'secret', shared: true })
  expect([username.value, signedOut.value]).toEqual(['marin', false])
  expect(signIn.emitted('done')).toHaveLength(1)
})

test.each([
  [401, 'wrong-password', 'This name and password do not belong together.'],
  [429, 'locked', 'Five wrong passwords.'],
])('a refusal (%i) is said, and the password is taken out', async (status, code, message) => {
  fakeServer(() => ({ status, body: { code, message, at: null } }))
  const signIn = form('marin')

  await signIn.find('input[type=password]').setValue('wrong')
  await signIn.find('form').trigger('submit')
  await flushPromises()

  expect(signIn.find('[role=alert]').text()).toBe(message)
  expect(signIn.find<HTMLInputElement>('input[type=password]').element.value).toBe('')
  expect(signIn.find<HTMLInputElement>('input[autocomplete=username]').element.value).toBe('marin')
  expect(signIn.emitted('done')).toBeUndefined()
})
