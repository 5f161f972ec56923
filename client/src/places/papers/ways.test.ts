import { mount } from '@vue/test-utils'
import { ref } from 'vue'
import { expect, test, vi } from 'vitest'
import { words } from '@/texts/en'
import BringPapers from './BringPapers.vue'
import PaperMarks from './PaperMarks.vue'
import SittingSettings from './SittingSettings.vue'
import type { Grid } from './rows'
import type { useSitting } from './useSitting'

type Sitting = ReturnType<typeof useSitting>

function bringing(takeFile: Sitting['takeFile']) {
  const action = { busy: ref(false), refusal: ref('') }
  const sitting = { action, takeFile, takeTable: vi.fn() } as unknown as Sitting
  return mount(BringPapers, { props: { sitting } })
}

test('a file comes in at once, and its rows are told', async () => {
  const rows = [{ at: 3, taken: false, says: 'It is no item.' }]
  const takeFile = vi.fn(() => Promise.resolve({ changed: 2, rows, grid: {} as Grid }))
  const place = bringing(takeFile as unknown as Sitting['takeFile'])
  const field = place.find('input[type=file]')
  const file = new File(['01,1,x'], 'papers.csv')
  Object.defineProperty(field.element, 'files', { value: [file] })
  await field.trigger('change')
  await Promise.resolve()
  await place.vm.$nextTick()
  expect(takeFile).toHaveBeenCalledWith(file)
  expect(place.text()).toContain(words.papers.taken(2))
  expect(place.text()).toContain(`${words.papers.notTaken(3)} It is no item.`)
})

test('how a sitting is marked is changed as a whole', async () => {
  const grid = {
    ...{ id: 's', title: 'Quiz', date: '2026-11-20', school: 'method-accuracy' },
    accuracy_follows: false,
  } as unknown as Grid
  const place = mount(SittingSettings, { props: { grid, busy: false } })
  await place.find('input[type=text], input:not([type])').setValue('Test')
  await place.findAll('input[type=radio]')[1]?.setValue(true)
  await place.find('form').trigger('submit')
  expect(place.emitted('change')?.[0]).toEqual([
    { title: 'Test', date: '2026-11-20', school: 'deductions', accuracy_follows: false },
  ])
})

const mark = (key: string, more: object = {}) => ({
  ...{ key, kind: 'method' as const, worth: 2, proposed: 0, earned: 0, line: 1 },
  ...{ because: `Line 1: ${key}.`, overruled: false, why: '' },
  ...more,
})
const work = (more: object = {}) => ({
  ...{
    item: 10,
    lines: ['x=3'],
    answer_alone: true,
    waiting: false,
    refused: '',
    late: false,
    right: false,
  },
  ...{
    checked: [],
    marks: [mark('factors')],
    earned: 0,
    of: 2,
    ask: [],
    alike: 0,
    comment: '',
    draft: 'Line 1: look.',
  },
  ...more,
})

test('what asks for a decision stands first, and what was decided says why and is taken back', async () => {
  const decided = mark('factors', { earned: 2, overruled: true, why: 'said aloud' })
  const ask = [{ line: 2, says: 'Line 2 could not be read.' }]
  const place = mount(PaperMarks, { props: { work: work({ marks: [decided], ask }) } })
  expect(place.text()).toContain('Line 2 could not be read.')
  expect(place.text()).toContain(`${words.papers.overruled}: said aloud`)
  await place
    .findAll('button')
    .find((one) => one.text() === words.papers.takeBack)
    ?.trigger('click')
  const back = { item: 10, key: 'factors', earned: null, why: '', alike: false }
  expect(place.emitted('decide')?.[0]).toEqual([back])
})

test('the reason follows the decision that it is about', async () => {
  const place = mount(PaperMarks, { props: { work: work({ alike: 2 }) } })
  const number = place.find('.el-input-number input')
  await number.setValue('1')
  await number.trigger('change')
  expect(place.emitted('decide')).toHaveLength(1)
  await place.setProps({ work: work({ marks: [mark('factors', { earned: 1, overruled: true })] }) })
  const why = place.find('.how input[type=text]')
  await why.setValue('shown on the board')
  await why.trigger('change')
  expect(place.emitted('decide')?.[1]).toEqual([
    { item: 10, key: 'factors', earned: 1, why: 'shown on the board', alike: false },
  ])
})
