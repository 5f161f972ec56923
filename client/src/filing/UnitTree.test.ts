import { flushPromises } from '@vue/test-utils'
import { ElMessageBox } from 'element-plus'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer } from '@/shared/testing/server'
import { press, shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import UnitTree from './UnitTree.vue'
import { branches, type Unit } from './useUnits'

afterEach(() => {
  document.body.innerHTML = ''
  vi.restoreAllMocks()
  vi.unstubAllGlobals()
})

const unit = (id: string, parent: string | null, position = 0): Unit => ({
  id,
  title: `Unit ${id}`,
  parent,
  position,
})
const UNITS = [unit('a', null), unit('b', null, 1), unit('a1', 'a')]

async function tree(chosen: string) {
  const calls = fakeServer(({ method }) => ({
    status: method === 'DELETE' ? 204 : 200,
    body: method === 'GET' ? UNITS : UNITS[0],
  }))
  const found = shown(UnitTree, { modelValue: chosen })
  await flushPromises()
  return { found, changes: () => calls.filter(({ method }) => method !== 'GET') }
}

test('units stand in their order, each with its parts', () => {
  expect(branches(UNITS).map(({ id, parts }) => [id, parts.map((part) => part.id)])).toEqual([
    ['a', ['a1']],
    ['b', []],
  ])
})

test('a unit is chosen, and everything again', async () => {
  const { found } = await tree('a1')
  expect(found.find('[aria-pressed=true]').text()).toBe('Unit a1')
  await press(found, 'Unit b')
  await press(found, words.units.all)
  expect(found.emitted('update:modelValue')).toEqual([['b'], ['']])
})

test.each([
  ['', null],
  ['b', 'b'],
  ['a1', null],
])('where “%s” is chosen, a new unit is a part of %s', async (chosen, parent) => {
  const { found, changes } = await tree(chosen)
  await found.find('form input').setValue('  Roots ')
  await found.find('form').trigger('submit')
  await flushPromises()
  expect(changes()[0]?.body).toEqual({ title: 'Roots', parent })
  expect((found.find('form input').element as HTMLInputElement).value).toBe('')
})

test('a unit is renamed, moved up, and deleted only when one is sure', async () => {
  const { found, changes } = await tree('b')
  vi.spyOn(ElMessageBox, 'prompt').mockResolvedValue({
    value: ' Powers ',
    action: 'confirm',
  } as never)
  const sure = vi.spyOn(ElMessageBox, 'confirm').mockRejectedValueOnce('cancel')

  await press(found, words.units.rename)
  await flushPromises()
  await press(found, words.units.up)
  await flushPromises()
  await press(found, words.units.remove)
  await flushPromises()
  sure.mockResolvedValueOnce('confirm' as never)
  await press(found, words.units.remove)
  await flushPromises()

  expect(changes().map(({ method, body }) => [method, body['title'], body['position']])).toEqual([
    ['PUT', 'Powers', 1],
    ['PUT', 'Unit b', 0],
    ['DELETE', undefined, undefined],
  ])
  expect(found.emitted('update:modelValue')).toEqual([['']])
})
