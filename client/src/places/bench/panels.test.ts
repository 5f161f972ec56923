/** The panels of the bench: what they show of a judged line, a problem, an answer. */
import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import type { Schemas } from '@/api/client'
import type { CheckedLine } from '@/spine/types'
import { shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import { blank } from '@/example/content'
import AboutProblem from './AboutProblem.vue'
import OriginalCheck from './OriginalCheck.vue'
import ProblemBar from './ProblemBar.vue'
import StopDetails from './StopDetails.vue'
import { judged } from '@/shared/testing/server'

function details(verdict: string, more: object = {}, mark = verdict) {
  const line = judged('x = 3', verdict, more) as CheckedLine
  return shown(StopDetails, { line, number: 2, mark: mark as 'ok' })
}

const ERROR = {
  id: 'lineq-one-side-only',
  name: 'Does the step on one side only',
  says: 'Write the step on both sides.',
  instead: 'x = 12',
  instead_latex: 'x=12',
  counter: null,
  also: ['lineq-same-sign-when-moved'],
  also_names: ['Moves a term with the same sign'],
}

test('without a chosen line the details say what to do', () => {
  const panel = shown(StopDetails, { line: null, number: 1, mark: null })

  expect(panel.text()).toContain(words.bench.chooseStop)
})

test('a right line shows its law in a sentence and its condition', () => {
  const panel = details('ok', { says: 'Divide both sides by 3.', if: ['x != -2'] })

  expect(panel.text()).toContain('2 · follows')
  expect(panel.text()).toContain('Divide both sides by 3.')
  expect(panel.text()).toContain('x ≠ −2')
})

test('a wrong line shows the error, the right line, refuting numbers and what to say', () => {
  const panel = details('wrong', { error: ERROR, counter: 'x = 12 fits; here 12 is not 19.' })

  for (const text of [ERROR.name, ERROR.says, '12 is not 19', words.bench.carried]) {
    expect(panel.text()).toContain(text)
  }
  expect(panel.find('.formula .katex').exists()).toBe(true)
})

test('a wrong line that no error explains gets no invented name', () => {
  const panel = details('wrong', { error: null, counter: 'Try x = 2: 1 is not 3.' })

  expect(panel.text()).toContain(words.bench.noName)
  expect(panel.text()).not.toContain(words.bench.errorName)
})

test('dropped and added answers, open forms, doubts and what was tested have their words', () => {
  expect(details('loses', { drops: ['x = -1'] }).text()).toContain('Drops')
  expect(details('may-add', { adds: ['x = 0'] }).text()).toContain(words.bench.adds)
  expect(details('unfinished', { unmet: ['lowest terms'], error: ERROR }).text()).toContain(
    'lowest terms',
  )
  expect(details('unproved', { tested: 'roots' }).text()).toContain('roots')
  expect(details('ok', { doubt: 'x', doubt_name: 'Some error' }, 'doubt').text()).toContain(
    'Some error',
  )
})

test('an unfinished line is not said to be an error', () => {
  const panel = details('unfinished', { unmet: ['unknown alone'], error: ERROR })

  expect(panel.find('.warm').exists()).toBe(false)
})

const INSPECTED: Schemas['Inspected'] = {
  kind: 'linear equation',
  reads: {
    text: '1/x = -2',
    latex: '',
    sides: { left: '', sign: '=', right: '' },
    spoken: 'one over x equals negative 2',
  },
  unknown: 'x',
  notices: [{ code: 'n', says: 'x stands on both sides.', parts: [], where: null }],
  traps: [],
  ambiguities: [
    {
      says: 'Read in two ways.',
      readings: [
        { text: '(6 ÷ 2)*3', latex: '(6 \\div 2) \\cdot 3', value: '9' },
        { text: '6 ÷ (2*3)', latex: '6 \\div (2 \\cdot 3)', value: '1' },
      ],
    },
  ],
  excluded: ['0', '-4'],
  methods: [{ method: 'clear-fractions', why: 'There are denominators.', lines: 1 }],
  finished_means: [],
}

function given() {
  return mount(AboutProblem, {
    props: { inspected: INSPECTED },
    global: { stubs: { ElTooltip: { template: '<slot />' } } },
  })
}

test('a posed problem is said, with what is noticed and what is excluded', () => {
  const text = given().text()

  for (const part of ['one over x equals negative 2.', 'both sides', 'x ≠ 0', 'x ≠ −4']) {
    expect(text).toContain(part)
  }
})

function bar(asks: ('factor' | 'study')[] = []) {
  return mount(ProblemBar, {
    props: { content: blank(), inspected: INSPECTED, asks },
    global: { stubs: { ElTooltip: { template: '<slot />' }, AskedFor: true } },
  })
}

test('both readings of an ambiguous notation stand there with their values', () => {
  const readings = bar().findAll('.reading')

  expect(readings.map((reading) => reading.findAll('.katex').length)).toEqual([1, 1])
  expect(readings.map((reading) => reading.text().slice(-3))).toEqual(['= 9', '= 1'])
})

test('another task that may be meant is offered, and taken by a click', async () => {
  expect(bar().find('.asks').exists()).toBe(false)
  const asked = bar(['factor', 'study'])
  await asked.findAll('.asks button')[0]?.trigger('click')
  expect(asked.emitted('change')).toEqual([[{ task: 'factor' }]])
})

test('a way to work it is chosen by a click', async () => {
  const panel = given()

  await panel.find('.method').trigger('click')

  expect(panel.emitted('work')).toEqual([['clear-fractions']])
  expect(panel.find('.method').text()).toBe('clear fractions 1 line')
})

function original(answer: Partial<Schemas['Answer']>, isEquation: boolean, lines = 1) {
  const checked = {
    lines: Array.from({ length: lines }, () => judged('x', 'ok')),
    first_wrong: null,
    error: null,
    answer: { right: false, finished: false, missing: [], extra: [], ...answer },
    checks: [],
  } as unknown as Schemas['Checked']
  return mount(OriginalCheck, {
    props: {
      checked,
      content: { ...blank(), task: isEquation ? 'solve' : 'simplify' },
      ended: true,
      folds: false,
    },
  }).text()
}

test.each([
  [{ right: true, finished: true }, true, words.bench.answerRight],
  [{ right: false, finished: false }, true, words.bench.noCandidate],
  [{ right: false, finished: true, missing: ['x = -6'] }, true, 'Missing: x = −6'],
  [{ right: true, finished: true }, false, words.bench.answerRight],
  [{ right: true, finished: false }, false, words.bench.answerOpen],
  [{ right: false, finished: true }, false, words.bench.answerWrong],
] as const)('an answer %o (equation: %s) is told', (answer, isEquation, text) => {
  expect(
    original({ ...answer, missing: [...('missing' in answer ? answer.missing : [])] }, isEquation),
  ).toContain(text)
})

test('before the first line the foot says what will stand there', () => {
  expect(original({}, false, 0)).toContain(words.bench.noAnswerYet)
})

test('what else would write the same line is said after the likeliest', () => {
  const panel = details('wrong', { error: ERROR })

  expect(panel.text()).toMatch(/one side only.*or: Moves a term with the same sign/s)
})

test('what tells two names apart stands beside them', () => {
  const apart = 'Give (3 + 3)².'
  const panel = details('wrong', { error: { ...ERROR, apart, apart_parts: [{ text: apart }] } })

  expect(panel.text()).toContain(words.bench.apart)
  expect(panel.text()).toContain(apart)
  expect(details('wrong', { error: ERROR }).text()).not.toContain(words.bench.apart)
})

test('a missing solution that is put in above is not named twice', () => {
  const value = 'x = 6'
  const check = { value, left: '22', right: '22', holds: true, missing: true, steps: [] }
  const checked = {
    lines: [judged('x', 'ok')],
    answer: { right: false, finished: true, missing: [value, 'x = 7'], extra: [] },
    checks: [{ ...check, left_steps: [], right_steps: [] }],
  } as unknown as Schemas['Checked']
  const foot = mount(OriginalCheck, {
    props: { checked, content: blank(), ended: false, folds: false },
    shallow: true,
  })

  expect(foot.text()).toContain('Missing: x = 7')
  expect(foot.text()).not.toContain('x = 6')
})
