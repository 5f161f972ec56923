import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { words } from '@/texts/en'
import ExercisePlace from './ExercisePlace.vue'

afterEach(() => void vi.unstubAllGlobals())

const reading = (text: string) => ({ text, latex: text, spoken: text, sides: {} })

function server({ path, body }: Asked) {
  if (path.endsWith('/choices')) {
    const wrong = {
      right: false,
      name: 'Slips',
      because: 'Because.',
      wrong_latex: 'x=9',
      error: 'e',
    }
    const right = { ...reading('x=2'), right: true }
    const listed = [{ ...reading('x=3'), ...wrong }, right]
    return { body: { choices: body['seed'] === 1 ? listed : listed.reverse(), asked: 4 } }
  }
  if (path.endsWith('/mistake')) {
    const message = 'No common error can be planted in this example.'
    return { status: 422, body: { code: 'out-of-scope', message, at: null } }
  }
  if (path.endsWith('/read')) return { body: reading('2x=4') }
  return { body: { id: 'a', title: 'Ferry', task: 'solve', given: '2x=4', lines: ['x=2'] } }
}

async function exercise() {
  const calls = fakeServer(server)
  const place = mount(ExercisePlace, {
    props: { id: 'a' },
    global: { stubs: { RouterLink: true, ElButton: { template: '<button><slot /></button>' } } },
  })
  await flushPromises()
  return { place, calls }
}

test('each choice has its letter, the key its reason; without the key nothing gives it away', async () => {
  const { place } = await exercise()
  expect(place.findAll('.choices li b').map((letter) => letter.text())).toEqual(['A', 'B'])
  expect(place.findAll('dl.key dd').map((item) => item.text())[1]).toBe(words.exercise.right)
  expect(place.find('dl.key').text()).toContain('Slips')
  expect(place.find('dl.key').html()).toContain('katex')
  await place.find('input[type=checkbox]').setValue(false)
  expect(place.text()).not.toContain('Slips')
  expect(place.text()).not.toContain(words.exercise.right)
})

test('another one is made by the next seed; what cannot be made says why', async () => {
  const { place, calls } = await exercise()
  expect(place.text()).toContain('No common error can be planted')
  await place.find('button').trigger('click')
  await flushPromises()
  const seeds = calls.filter((call) => call.path.endsWith('/choices')).map((c) => c.body['seed'])
  expect(seeds).toEqual([1, 2])
  expect(place.findAll('dl.key dd')[0]?.text()).toBe(words.exercise.right)
})
