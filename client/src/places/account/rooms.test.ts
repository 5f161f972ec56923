import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import type { Schemas } from '@/api/client'
import { current } from '@/api/session'
import { session } from '@/api/testing'
import { fakeServer } from '@/shared/testing/server'
import { press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import AccountPlace from './AccountPlace.vue'
import AuditRoom from './AuditRoom.vue'
import LeavingRoom from './LeavingRoom.vue'
import MailRoom from './MailRoom.vue'
import ProviderRoom from './ProviderRoom.vue'
import SecondFactorRoom from './SecondFactorRoom.vue'

afterEach(() => {
  document.body.innerHTML = ''
  current.value = null
  vi.unstubAllGlobals()
})

const of = (more: Partial<Schemas['AccountOut']> = {}): Schemas['AccountOut'] => ({
  username: 'sund',
  mail: '',
  department: '',
  administrator: false,
  second_factor: false,
  codes_left: 0,
  connected: false,
  password: true,
  exported: null,
  leaves: null,
  ...more,
})
const refused = (status: number, message: string) => ({
  status,
  body: { code: 'no', message, at: null },
})

test('a second factor is set up: picture, number, codes that are shown once', async () => {
  const calls = fakeServer(({ path, body }) => {
    if (path === '/api/account/second-factor')
      return { body: { secret: 'ABCD', picture: '<svg></svg>' } }
    return body['number'] === '123456'
      ? { body: { codes: ['aaa-b', 'ccc-d'] } }
      : refused(422, 'Not this one.')
  })
  const room = shown(SecondFactorRoom, { account: of() })
  await room.find('input[type=password]').setValue('right')
  await room.find('form').trigger('submit')
  await flushPromises()
  expect(room.find('img').attributes('src')).toBe('data:image/svg+xml,%3Csvg%3E%3C%2Fsvg%3E')
  expect(room.text()).toContain('ABCD')

  for (const number of ['000000', '123456']) {
    await room.find('input[autocomplete=one-time-code]').setValue(number)
    await room.find('form').trigger('submit')
    await flushPromises()
  }
  expect(calls.map(({ body }) => body['number'])).toEqual([undefined, '000000', '123456'])
  expect(room.findAll('.codes li').map((one) => one.text())).toEqual(['aaa-b', 'ccc-d'])
  expect(room.emitted('changed')).toHaveLength(1)
})

test('a second factor is taken away with the password, which does not stay in the form', async () => {
  const calls = fakeServer(() => ({ status: 204, body: null }))
  const room = shown(SecondFactorRoom, { account: of({ second_factor: true, codes_left: 1 }) })
  expect(room.text()).toContain(words.account.secondOn(1))
  await room.find('input[type=password]').setValue('right')
  await room.find('form').trigger('submit')
  await flushPromises()
  expect(calls[0]).toMatchObject({
    path: '/api/account/second-factor/drop',
    body: { password: 'right' },
  })
  expect(room.find<HTMLInputElement>('input[type=password]').element.value).toBe('')
  expect(room.emitted('changed')).toHaveLength(1)
})

test('an address is kept with the password; a refusal leaves what was typed', async () => {
  let isTaken = true
  const calls = fakeServer(() =>
    isTaken ? refused(422, 'Another account has it.') : { body: of({ mail: 'a@b.example' }) },
  )
  const room = shown(MailRoom, { account: of() })
  await room.find('input[type=email]').setValue(' a@b.example ')
  for (const password of ['one', 'two']) {
    await room.find('input[type=password]').setValue(password)
    await room.find('form').trigger('submit')
    await flushPromises()
    isTaken = false
  }
  expect(calls.map(({ body }) => body)).toEqual([
    { mail: 'a@b.example', password: 'one' },
    { mail: 'a@b.example', password: 'two' },
  ])
  expect(room.text()).toContain(words.account.mailChanged)
})

test('the school’s sign-in is connected by going there, and taken off', async () => {
  current.value = session({ provider: 'your school account' })
  const went = vi.fn()
  vi.stubGlobal('location', { ...window.location, assign: went })
  let isRight = false
  const said = fakeServer(() => (isRight ? { status: 204, body: null } : refused(401, 'Not it.')))
  const off = shown(ProviderRoom, { account: of() })
  for (const password of ['wrong', 'right']) {
    isRight = password === 'right'
    await off.find('input[type=password]').setValue(password)
    await off.find('form').trigger('submit')
    await flushPromises()
    expect(went).toHaveBeenCalledTimes(isRight ? 1 : 0)
  }
  expect(went).toHaveBeenCalledWith('/provider/begin')
  expect(said.map(({ body }) => body)).toEqual([{ password: 'wrong' }, { password: 'right' }])
  const calls = fakeServer(() => refused(422, 'Set a password first.'))
  const on = shown(ProviderRoom, { account: of({ connected: true }) })
  await press(on, words.account.disconnect)
  await flushPromises()
  expect(calls[0]?.method).toBe('DELETE')
  expect(on.text()).toContain('Set a password first.')
})

test('the log comes page by page', async () => {
  const entry = (says: string) => ({ at: '2026-11-30T10:00:00Z', says, by: 'sund', address: null })
  const asked: string[] = []
  fakeServer(({ path }) => {
    asked.push(path)
    return asked.length === 1
      ? { body: { results: [entry('later')], next: 'more' } }
      : { body: { results: [entry('earlier')], next: null } }
  })
  const room = shown(AuditRoom)
  await flushPromises()
  expect(room.findAll('li')).toHaveLength(1)
  await press(room, words.account.auditMore)
  await flushPromises()
  expect(room.findAll('li').map((one) => one.text())).toEqual([
    expect.stringContaining('later'),
    expect.stringContaining('earlier'),
  ])
  expect(room.text()).not.toContain(words.account.auditMore)
})

test('an account leaves only after it was kept, and may stay', async () => {
  let isKept = false
  const calls = fakeServer(({ path }) => {
    if (path === '/api/session') return { body: session({ username: 'sund' }) }
    return isKept ? { body: { leaves: '2026-12-14T10:00:00Z' } } : refused(422, 'Keep it first.')
  })
  const room = shown(LeavingRoom, { account: of() })
  expect(room.find('a[download]').attributes('href')).toBe('/api/keep/everything.json')
  for (const step of [1, 2]) {
    await room.find('input[type=password]').setValue('right')
    await room.find('form').trigger('submit')
    await flushPromises()
    if (step === 1) expect(room.text()).toContain('Keep it first.')
    isKept = true
  }
  expect(room.emitted('changed')).toHaveLength(1)

  const leaving = shown(LeavingRoom, { account: of({ leaves: '2026-12-14T10:00:00Z' }) })
  await press(leaving, words.account.stay)
  await flushPromises()
  expect(calls.some(({ method, path }) => method === 'DELETE' && path === '/api/keep/leave')).toBe(
    true,
  )
})

test('what is done to the account stands in its log at once', async () => {
  let isOn = false
  fakeServer(({ method, path }) => {
    if (path === '/api/account') return { body: of({ second_factor: !isOn, codes_left: 9 }) }
    if (path === '/api/session/places') return { body: [] }
    if (path === '/api/account/audit') {
      const entry = {
        at: '2026-11-30T10:00:00Z',
        says: 'Asked no more.',
        by: 'sund',
        address: null,
      }
      return { body: { results: isOn ? [entry] : [], next: null } }
    }
    isOn = method === 'POST'
    return { status: 204, body: null }
  })
  const place = shown(AccountPlace)
  await flushPromises()
  expect(place.text()).toContain(words.account.auditNone)
  const room = place.findAll('section').find((one) => one.text().includes(words.account.dropSecond))
  await room?.find('input[type=password]').setValue('right')
  await room?.find('form').trigger('submit')
  await flushPromises()
  expect(place.text()).toContain('Asked no more.')
  expect(place.text()).toContain(words.account.beginSecond)
})
