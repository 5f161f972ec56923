/** The list of sets: what is brought in is told row by row and taken back as one; finding; typing problems. */
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer } from '@/shared/testing/server'
import { words } from '@/texts/en'
import AddProblems from './AddProblems.vue'
import FindProblems from './FindProblems.vue'
import SetsPlace from './SetsPlace.vue'

vi.mock('@/api/files', () => ({
  chosenFile: async () => new File(['x'], 'sheet.csv'),
  sendFile: async () => ({
    set: { id: 'new', title: 'From a file' },
    rows: [
      { at: 2, taken: true, says: 'taken', given: '2x=6' },
      { at: 3, taken: false, says: 'There is no problem in it.', given: '' },
    ],
  }),
}))
afterEach(() => void vi.unstubAllGlobals())
const global = { stubs: { RouterLink: { template: '<a><slot /></a>' } } }

test('an import says what was not taken, and is taken back as one', async () => {
  const calls = fakeServer(({ method, path }) => ({
    status: method === 'DELETE' ? 204 : 200,
    body: path ? [] : [],
  }))
  const place = mount(SetsPlace, { global })
  await flushPromises()
  expect(place.text()).toContain(words.sets.none)

  const buttons = () => place.findAll('button')
  await buttons()
    .find((one) => one.text() === words.sets.bringIn)
    ?.trigger('click')
  await flushPromises()
  expect(place.find('.brought').text()).toContain(words.sets.broughtIn(1, 2))
  expect(place.findAll('.brought li').map((row) => row.text().replace(/\s+/g, ' '))).toEqual([
    'Row 3 There is no problem in it.',
  ])
  await buttons()
    .find((one) => one.text() === words.sets.takeBack)
    ?.trigger('click')
  await flushPromises()

  expect(
    calls.some(({ method, path }) => method === 'DELETE' && path === '/api/exchange/set/new'),
  ).toBe(true)
  expect(place.find('.brought').exists()).toBe(false)
})

test('a search tells why something was found', async () => {
  vi.useFakeTimers()
  const found = {
    kind: 'example',
    id: 'e',
    title: 'Rope',
    given: '2x=6',
    why: 'skill: divide',
    in_sets: ['Sheet'],
  }
  fakeServer(() => ({ body: [found] }))
  const place = mount(FindProblems, { global })
  await place.find('input[type=search]').setValue('divide')
  await vi.advanceTimersByTimeAsync(300)
  vi.useRealTimers()
  await flushPromises()

  expect(place.find('li').text()).toContain('skill: divide')
  expect(place.find('li').text()).toContain(words.sets.inSets('Sheet'))
})

test('typed problems stay where they are when they are refused', async () => {
  fakeServer(({ path }) => ({ body: path.endsWith('families') ? [] : [] }))
  const make = vi.fn().mockResolvedValueOnce({ added: 2, refused: ['2: kept as text: …'] })
  const place = mount(AddProblems, {
    props: { modelValue: true, inSet: [], make },
    global: { stubs: { ElDialog: { template: '<div><slot /></div>' } } },
  })
  await place.findAll('input[type=radio]')[1]?.setValue(true)
  await place.find('textarea').setValue('2x = 6')

  await place.find('form').trigger('submit')
  await flushPromises()
  expect(make).toHaveBeenCalledWith({ text: '2x = 6' })
  expect(place.find('[role=status]').text()).toBe(`${words.sets.made(2)} 2: kept as text: …`)
  expect((place.find('textarea').element as HTMLTextAreaElement).value).toBe('')
})
