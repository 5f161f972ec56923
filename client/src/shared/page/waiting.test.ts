import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import { dated, day } from '@/shared/logic/dated'
import { words } from '@/texts/en'
import FailureNote from './FailureNote.vue'
import WaitFor from './WaitFor.vue'

const waits = (pending: boolean, failure: string) =>
  mount(WaitFor, { props: { pending, failure }, slots: { default: '<p class="there">there</p>' } })

test('what is loading, what failed, and what is there are three things', async () => {
  const loading = waits(true, '')
  expect(loading.find('[role=status]').text()).toBe(words.waiting.loading)
  expect(loading.find('.there').exists()).toBe(false)

  const failed = waits(true, 'The database does not answer.')
  expect(failed.find('[role=alert]').text()).toContain('The database does not answer.')
  expect(failed.find('[role=status]').exists()).toBe(false)
  await failed.find('button').trigger('click')
  expect(failed.emitted('again')).toHaveLength(1)

  expect(waits(false, '').text()).toBe('there')
  const stale = waits(false, 'It could not be read again.')
  expect(stale.find('.there').exists()).toBe(true)
  expect(stale.find('[role=alert]').exists()).toBe(true)
})

test('what would fail again has no way to be tried again', () => {
  const note = mount(FailureNote, { props: { message: 'Too long.', final: true } })
  expect(note.find('button').exists()).toBe(false)
  expect(mount(FailureNote, { props: { message: '' } }).text()).toBe('')
})

test('an instant of today is a time, another one a day', () => {
  const now = new Date(2026, 10, 29, 18, 0)
  const today = day(new Date(2026, 10, 29, 7, 5).toISOString(), now)
  expect(today).toMatch(/\b0?7.05\b/)
  const before = day(new Date(2026, 10, 28, 7, 5).toISOString(), now)
  expect(before).toContain('2026')
  expect(before).not.toMatch(/\b0?7.05\b/)
  expect(dated(new Date(2026, 10, 28, 7, 5).toISOString())).toMatch(/2026.*0?7.05/)
})
