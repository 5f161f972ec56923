import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { newQueryClient } from '@/api/queries'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { words } from '@/texts/en'
import ClassesPlace from './ClassesPlace.vue'

vi.mock('vue-router', async () => {
  const { nobodyLeaves } = await import('@/shared/testing/router')
  return { useRouter: () => ({ ...nobodyLeaves, push: () => undefined }) }
})
afterEach(() => void vi.unstubAllGlobals())

const row = { id: 'c', title: 'Period 3', year: '2026', size: 2 }
const whole = { ...row, students: ['01', '02'].map((code, id) => ({ id, code })) }
const sitting = { id: 's', title: 'Quiz', date: '2026-11-20', school_class: 'Period 3' }
const sent: Asked[] = []
let classes: object[] = [row]

function server(asked: Asked) {
  if (asked.method !== 'GET') sent.push(asked)
  if (asked.path.endsWith('/sittings')) return { body: classes.length ? [sitting] : [] }
  if (asked.path.endsWith('/classes') && asked.method === 'GET') return { body: classes }
  return { body: whole }
}

async function opened() {
  fakeServer(server)
  sent.length = 0
  const plugins: [typeof VueQueryPlugin, object][] = [
    [VueQueryPlugin, { queryClient: newQueryClient() }],
  ]
  const stubs = { RouterLink: { template: '<a><slot /></a>' }, teleport: true }
  const place = mount(ClassesPlace, { global: { plugins, stubs } })
  await flushPromises()
  const press = async (label: string) => {
    await place
      .findAll('button')
      .find((one) => one.text() === label)
      ?.trigger('click')
    await flushPromises()
  }
  return { place, press }
}

test('without a class it says what to do first; one is made with a code for each student', async () => {
  classes = []
  const { place, press } = await opened()
  expect(place.text()).toContain(words.classes.none)
  expect(place.text()).toContain(words.classes.caution)
  await press(words.classes.make)
  await place.find('form input').setValue('Period 3')
  await place.find('form textarea').setValue('1-3')
  expect(place.text()).toContain(words.classes.size(3))
  await place.find('form').trigger('submit')
  await flushPromises()
  expect(sent[0]?.body).toEqual({ title: 'Period 3', year: '', codes: ['1', '2', '3'] })
  place.unmount()
})

test('a class shows its codes and takes more; what was given to it is listed', async () => {
  classes = [row]
  const { place, press } = await opened()
  expect(place.text()).toContain('Quiz')
  await press(words.classes.size(2))
  expect(place.findAll('article li').map((one) => one.text().slice(0, 2))).toEqual(['01', '02'])
  await place.find('article form input').setValue('03')
  await place.find('article form').trigger('submit')
  await flushPromises()
  expect(sent.at(-1)?.body).toEqual({ codes: ['03'] })
  await press(words.classes.archive)
  expect(sent.at(-1)?.method).toBe('DELETE')
  place.unmount()
})
