import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { fakeServer, judged, settled, type Asked } from '@/shared/testing/server'
import { words } from '@/texts/en'
import FirstPlace from './FirstPlace.vue'
import { PLANTED, SAMPLE, STEPS } from './sample'

beforeEach(() => void vi.useFakeTimers())
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

const counter = 'x = 7 fits the line before; here 21 is not 9.'

function server({ path, body }: Asked) {
  if (!path.endsWith('/check')) return { body: { reads: {}, methods: [] } }
  const lines = (body['lines'] as string[]).map((text) =>
    text === SAMPLE.lines[PLANTED]
      ? judged(text, 'wrong', { counter, counter_parts: [] })
      : judged(text, 'ok'),
  )
  return { body: { lines, checks: [], answer: {} } }
}

test('the sample explains itself in four steps, a line is tried, and then it goes on', async () => {
  fakeServer(server)
  const place = mount(FirstPlace, {
    attachTo: document.body,
    global: { stubs: { RouterLink: true } },
  })
  await settled(50)
  expect(STEPS).toHaveLength(words.first.steps.length)
  for (const [index, step] of words.first.steps.entries()) {
    expect(place.find('.explained').text()).toContain(step.title)
    expect(place.findAll('[data-spoken-of]')).toHaveLength(1)
    expect(place.text().includes(counter)).toBe(index === 2)
    await place.find('.explained button').trigger('click')
  }
  await settled(50)
  const [left, right] = place.findAll('input')
  await left?.setValue('3x = 9')
  await settled(50)
  await left?.trigger('keydown', { key: 'Enter' })
  expect(place.text()).not.toContain(words.first.done)
  await right?.setValue(' 21')
  await settled(50)
  await left?.trigger('keydown', { key: 'Enter' })
  await flushPromises()
  expect(place.text()).toContain(words.first.done)
  expect(place.findAll('.line')).toHaveLength(3)
  place.unmount()
})
