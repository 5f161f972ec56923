import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'
import ExaminedError from './ExaminedError.vue'

const line = (text: string, verdict: string) => ({ text, latex: text, verdict })
const examined = (is: string, more: object = {}) =>
  ({
    is,
    says: 'This always holds.',
    counter: 'a = 2: 1 is not 2',
    examples: [],
    ...more,
  }) as unknown as Schemas['Examined']

test('an error is shown with the numbers that refute it, a law with what it says', () => {
  const error = mount(ExaminedError, { props: { examined: examined('error'), refusal: '' } })
  expect(error.text()).toContain('a = 2')
  const law = mount(ExaminedError, { props: { examined: examined('law'), refusal: '' } })
  expect(law.text()).toContain('This always holds.')
  expect(law.text()).not.toContain('a = 2')
})

test('each line that is tried says what becomes of it: nothing, a failure, or lines with their verdicts', () => {
  const examples = [
    { line: 'x + 1', becomes: [], failure: null },
    { line: '2 +', becomes: [], failure: { message: 'A number is missing.' } },
    { line: '(4 + 6)/2', becomes: [line('8', 'wrong'), line('5', 'ok')], failure: null },
  ]
  const shown = mount(ExaminedError, {
    props: { examined: examined('error', { examples }), refusal: '' },
  })
  const [nowhere, failing, tried] = shown.findAll('li').map((item) => item.text())
  expect(nowhere).toContain(words.errors.fitsNowhere)
  expect(failing).toContain('A number is missing.')
  expect(tried).toContain(words.errors.tried.wrong)
  expect(tried).toContain(words.errors.tried.ok)
})

test('what cannot be read is said in place of all this', () => {
  const shown = mount(ExaminedError, { props: { examined: null, refusal: 'There is no “)”.' } })
  expect(shown.text()).toBe('There is no “)”.')
  expect(mount(ExaminedError, { props: { examined: null, refusal: '' } }).text()).toBe(
    words.errors.ownLead,
  )
})
