import { expect, test, vi } from 'vitest'
import { nextTick, ref } from 'vue'
import { entered } from '@/shared/testing/server'
import { useLineList } from './useLineList'

function list(texts: string[] = ['a', 'b', 'c']) {
  const chosen = ref<number | null>(null)
  const editing = ref<number | null>(null)
  const emit = vi.fn()
  const { value } = entered(() => useLineList(() => texts, chosen, editing, emit))
  texts.forEach((_, index) => {
    const element = document.createElement('div')
    element.tabIndex = 0
    document.body.append(element)
    value.note(index, element)
  })
  return { value, chosen, editing, emit }
}

test('a chosen line has the focus; past the last one the writer goes on, before the first stays there', async () => {
  const { value, chosen, emit } = list()
  value.choose(1)
  await nextTick()
  expect(chosen.value).toBe(1)
  expect(document.activeElement).toBe(document.body.children[1])
  value.choose(-1)
  expect(chosen.value).toBe(0)
  value.choose(3)
  expect([chosen.value, emit.mock.calls]).toEqual([0, [['leave']]])
})

test('a line is typed anew with what stood there, and only one field is open', () => {
  const { value, chosen, editing, emit } = list()
  value.insert(2)
  expect(value.inserting.value).toBe(2)
  value.edit(1)
  expect([value.text.value, chosen.value, editing.value, value.inserting.value]).toEqual([
    'b',
    1,
    1,
    null,
  ])
  value.text.value = 'B'
  value.keep(1)
  expect(emit).toHaveBeenCalledWith('change', 1, 'B')
  expect(editing.value).toBeNull()
})

test('an empty line is not inserted, a written one is, and is chosen then', () => {
  const { value, chosen, emit } = list()
  value.insert(1)
  value.keepNew(1)
  expect(emit).not.toHaveBeenCalledWith('insert', expect.anything(), expect.anything())
  value.insert(1)
  value.text.value = 'x = 1'
  value.keepNew(1)
  expect(emit).toHaveBeenCalledWith('insert', 1, 'x = 1')
  expect([chosen.value, value.inserting.value]).toEqual([1, null])
})

test('a line moves within the list only', () => {
  const { value, emit } = list()
  value.move(0, -1)
  value.move(2, 1)
  expect(emit).not.toHaveBeenCalled()
  value.move(0, 1)
  expect(emit).toHaveBeenCalledWith('move', 0, 1)
})
