import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { words } from '@/texts/en'
import AnswersPlace from './AnswersPlace.vue'
import { largest, leavings, type Group } from '@/answers/leavings'

beforeEach(() => localStorage.clear())
afterEach(() => void vi.unstubAllGlobals())

const error = (id: string, after: number, more: object = {}) => ({
  ...{ id, name: `Name ${id}`, says: `Say ${id}.`, after, wrong: 'w', wrong_latex: 'w' },
  ...more,
})
const group = (where: string, members: number[], value: string, errors: object[] = []) => ({
  ...{ where, members, value, errors },
  ...{ latex: where === 'unreadable' ? '' : value, spoken: value },
})
const sides = { left: 'x', sign: '=', right: '2' }
const reading = (text: string) => ({ text, latex: text, spoken: text, sides })

const placed = {
  groups: [
    group('fork', [0, 3, 4], 'x=9', [error('a', 0), error('b', 1)]),
    group('right', [1, 2], 'x=2'),
    group('fork', [5], 'x=5', [error('c', 2, { method: 'other-way', also_name: 'Twice' })]),
    group('unexplained', [6], 'x=77'),
    group('unreadable', [7], 'who knows'),
  ],
  lines: [reading('2x=4'), reading('x=2')],
  numbers: [0, 1],
}
const asked: string[][] = []

function server({ path, body }: Asked) {
  if (path.endsWith('/place')) {
    asked.push((body as { answers: string[] }).answers)
    return { body: placed }
  }
  return { body: { id: 'a', title: 'Ferry', task: 'solve', given: '2x=4', lines: [], note: '' } }
}

async function opened(text = '') {
  localStorage.setItem('uchuu.answers.a', text)
  fakeServer(server)
  asked.length = 0
  const stubs = { RouterLink: true }
  const place = mount(AnswersPlace, { props: { id: 'a' }, global: { stubs } })
  await flushPromises()
  return place
}

const TEXT = ['1', '2', '3', '4', '5', '6', '7', '8'].map((n) => `${n}: x = ${n}`).join('\n')

test('answers that were typed before are placed at once, without their codes', async () => {
  const place = await opened(TEXT)
  expect(asked).toEqual([TEXT.split('\n').map((line) => line.slice(3))])
  const rows = place.findAll('.groups li').map((row) => row.text())
  expect(rows).toHaveLength(5)
  expect(rows[0]).toContain(words.answers.people(3, 8))
  expect(rows[0]).toContain(`Name a ${words.answers.orElse} Name b`)
  expect(rows[4]).toContain('who knows')
  expect(place.text()).not.toContain('4, 5')
  await place.find('input[type=checkbox]').setValue(true)
  expect(place.findAll('.groups li')[0]?.text()).toContain('1, 4, 5')
  place.unmount()
})

test('the class stands on the spine where it left; another way has its own place', async () => {
  const place = await opened(TEXT)
  const left = place.findAll('.class li').map((one) => one.text())
  expect(left).toHaveLength(2)
  expect(left[0]).toContain(words.answers.mayHaveLeft(3, 8))
  expect(place.find('.class').text()).toContain(words.answers.atEnd(2, 8))
  expect(place.find('.class').text()).toContain(words.answers.otherWays)
  expect(place.find('.next').text()).toContain('Say a.')
  place.unmount()
})

test('what is typed is kept, asked about after a pause, cleared and brought back', async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] })
  const place = await opened()
  expect(place.text()).toContain(words.answers.none)
  await place.find('textarea').setValue('3\n4')
  expect(localStorage.getItem('uchuu.answers.a')).toBe('3\n4')
  await vi.advanceTimersByTimeAsync(600)
  await flushPromises()
  expect(asked.at(-1)).toEqual(['3', '4'])
  const press = (label: string) =>
    place
      .findAll('button')
      .find((one) => one.text() === label)
      ?.trigger('click')
  await press(words.answers.clear)
  expect((place.find('textarea').element as HTMLTextAreaElement).value).toBe('')
  await press(words.answers.restore)
  expect((place.find('textarea').element as HTMLTextAreaElement).value).toBe('3\n4')
  place.unmount()
  vi.useRealTimers()
})

test('the largest wrong groups are told first, and each leaves at every line where it may have', () => {
  const groups = placed.groups as unknown as Group[]
  expect(largest(groups).map((one) => one.value)).toEqual(['x=9', 'x=5'])
  expect(leavings(groups).map((one) => [one.after, one.count, one.only])).toEqual([
    [0, 3, false],
    [1, 3, false],
  ])
  expect(leavings(groups, 'others').map((one) => one.error.id)).toEqual(['c'])
})
