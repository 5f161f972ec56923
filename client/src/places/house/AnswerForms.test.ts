import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer } from '@/shared/testing/server'
import { shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import AnswerForms from './AnswerForms.vue'

afterEach(() => void vi.unstubAllGlobals())

const CONVENTIONS = [
  { key: 'checks', choices: ['every', 'none'], task: 'solve', given: '2x = 8', says: [] },
  {
    key: 'removing',
    choices: ['divide-out', 'cancel'],
    task: null,
    given: '',
    says: ['Divide out.', 'Cancel.'],
  },
]

test('each convention shows a problem worked, or a sentence, by the choice in force', async () => {
  const check = { value: 'x = 4', left: '8', right: '8', holds: true }
  const calls = fakeServer(({ path }) =>
    path.endsWith('/conventions')
      ? { body: CONVENTIONS }
      : {
          body: {
            reads: { latex: '2x = 8' },
            lines: [{ text: 'x = 4', latex: 'x = 4' }],
            checks: [check],
          },
        },
  )
  const forms = shown(AnswerForms, { rules: { removing: 'cancel' } })
  await flushPromises()

  expect(calls.filter(({ path }) => path.endsWith('/work'))).toHaveLength(1)
  const legends = forms.findAll('legend').map((legend) => legend.text())
  expect(legends).toEqual([
    words.house.conventions.checks.title,
    words.house.conventions.removing.title,
  ])
  const [checks, removing] = forms.findAll('figure')
  expect(checks?.text()).toContain('8 = 8')
  expect(removing?.text()).toContain('Cancel.')
  const boxes = forms
    .findAll('input[type=radio]')
    .map((box) => (box.element as HTMLInputElement).checked)
  expect(boxes).toEqual([true, false, false, true])

  await forms.find('input[value=none]').setValue(true)
  expect(forms.emitted('choose')).toEqual([[{ checks: 'none' }]])
})

test('every choice that the server offers has a name', () => {
  for (const { title, choices } of Object.values(words.house.conventions)) {
    expect(title).not.toBe('')
    expect(new Set(Object.values(choices)).size).toBe(Object.values(choices).length)
  }
})
