import { ElMessageBox } from 'element-plus'
import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer } from '@/shared/testing/server'
import { chooseIn, press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import AccountTable from './AccountTable.vue'
import DepartmentList from './DepartmentList.vue'
import InviteForm from './InviteForm.vue'

afterEach(() => {
  document.body.innerHTML = ''
  vi.unstubAllGlobals()
  vi.restoreAllMocks()
})

const row = (more: object = {}) => ({
  id: 7,
  username: 'sund',
  mail: '',
  department: null,
  administrator: false,
  locked: false,
  leaves: null,
  last_here: null,
  second_factor: true,
  ...more,
})
const departments = [{ id: 1, title: 'Mathematics' }]

async function table(refusal?: string) {
  let now = row()
  const calls = fakeServer(({ method, path }) => {
    if (method === 'GET') return { body: { results: [now], next: null } }
    if (refusal) return { status: 422, body: { code: 'last', message: refusal, at: null } }
    if (path.endsWith('/lock')) now = row({ locked: true })
    if (path.endsWith('/release')) now = row()
    if (path.endsWith('/reset'))
      return { status: 201, body: { link: 'https://a/reset/x', sent: false } }
    if (path.endsWith('/second-factor')) return { status: 204, body: null }
    return { body: now }
  })
  const found = shown(AccountTable, { departments })
  await flushPromises()
  return { found, changes: () => calls.filter(({ method }) => method !== 'GET') }
}

test('an account is locked and released, and the table says so', async () => {
  const { found, changes } = await table()
  await press(found, words.people.lock)
  await flushPromises()
  expect(found.text()).toContain(words.people.locked)
  await press(found, words.people.release)
  await flushPromises()
  expect(found.text()).not.toContain(words.people.locked)
  expect(changes().map(({ path }) => path)).toEqual(['/api/people/7/lock', '/api/people/7/release'])
})

test('somebody is put into a department and keeps what they were', async () => {
  const { found, changes } = await table()
  await chooseIn(found, `${words.people.department}: sund`, 1)
  await flushPromises()
  expect(changes()[0]).toMatchObject({
    method: 'PUT',
    path: '/api/people/7',
    body: { department: 1, administrator: false },
  })
})

test('a refusal is said', async () => {
  const { found } = await table('Nobody would keep the accounts.')
  await press(found, words.people.lock)
  await flushPromises()
  expect(found.find('[role=alert]').text()).toContain('Nobody would keep the accounts.')
})

test('a link is handed out; a second factor is taken away only when one is sure', async () => {
  const { found, changes } = await table()
  await press(found, words.people.reset)
  await flushPromises()
  expect(found.emitted('link')).toEqual([
    [{ link: 'https://a/reset/x', says: words.people.linkFor('sund') }],
  ])

  const asks = vi.spyOn(ElMessageBox, 'confirm').mockRejectedValueOnce('cancel')
  await press(found, words.people.forget)
  await flushPromises()
  expect(changes()).toHaveLength(1)
  asks.mockResolvedValueOnce('confirm' as never)
  await press(found, words.people.forget)
  await flushPromises()
  expect(changes()).toHaveLength(2)
  expect(found.text()).toContain(words.people.forgot('sund'))
})

test('an invitation says whether it went by mail', async () => {
  const calls = fakeServer(() => ({
    status: 201,
    body: { link: 'https://a/invited/x', sent: true },
  }))
  const form = shown(InviteForm, { departments })
  await form.find('input[type=email]').setValue(' new@school.example ')
  await form.find('form').trigger('submit')
  await flushPromises()
  expect(calls[0]?.body).toEqual({
    mail: 'new@school.example',
    department: null,
    administrator: false,
  })
  expect(form.emitted('link')?.[0]).toEqual([
    { link: 'https://a/invited/x', says: `${words.people.link} ${words.people.sent}` },
  ])
})

test('a department is made, and dissolved only when one is sure', async () => {
  const calls = fakeServer(({ method }) =>
    method === 'POST'
      ? { status: 201, body: { id: 2, title: 'Physics' } }
      : { status: 204, body: null },
  )
  const list = shown(DepartmentList, { departments })
  await list.find('input').setValue('Physics ')
  await list.find('form').trigger('submit')
  await flushPromises()
  expect(calls[0]?.body).toEqual({ title: 'Physics' })
  vi.spyOn(ElMessageBox, 'confirm').mockResolvedValueOnce('confirm' as never)
  await list.find(`[aria-label="${words.people.dissolve('Mathematics')}"]`).trigger('click')
  await flushPromises()
  expect(calls[1]).toMatchObject({ method: 'DELETE', path: '/api/people/departments/1' })
  expect(list.emitted('changed')).toHaveLength(2)
})
