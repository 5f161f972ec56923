import { expect, test, vi } from 'vitest'
import { effectScope } from 'vue'
import { keyName, useKeys } from './useKeys'

const press = (key: string, more: KeyboardEventInit = {}) =>
  new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more })

test.each([
  [press('z', { ctrlKey: true }), 'Ctrl+Z'],
  [press('z', { metaKey: true }), 'Ctrl+Z'],
  [press('Z', { ctrlKey: true, shiftKey: true }), 'Ctrl+Shift+Z'],
  [press('w', { altKey: true }), 'Alt+W'],
  [press('?', { shiftKey: true }), '?'],
  [press('Enter', { shiftKey: true }), 'Shift+Enter'],
] as const)('a key press has the name %s', (event, name) => {
  expect(keyName(event)).toBe(name)
})

test('a shortcut works while its place lives, and plain characters not while typing', () => {
  const undo = vi.fn()
  const overview = vi.fn()
  const scope = effectScope()
  scope.run(() => useKeys({ 'Ctrl+Z': undo, '?': overview }))
  const field = document.body.appendChild(document.createElement('input'))

  field.dispatchEvent(press('?'))
  field.dispatchEvent(press('z', { ctrlKey: true }))
  window.dispatchEvent(press('?'))
  expect([undo.mock.calls.length, overview.mock.calls.length]).toEqual([1, 1])
  scope.stop()
  window.dispatchEvent(press('?'))

  expect(overview).toHaveBeenCalledTimes(1)
})
