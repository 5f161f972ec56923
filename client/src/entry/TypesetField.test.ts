/** The typeset field: what it holds is read back as plain notation before it is judged. */
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer } from '@/shared/testing/server'
import TypesetField from './TypesetField.vue'

// the real field does not run in a simulated page; the browser tests use it
vi.mock('mathlive/fonts.css', () => ({}))
vi.mock('mathlive', () => {
  class MathfieldElement extends HTMLElement {
    latex = ''
    inlineShortcuts = {}
    getValue = () => this.latex
    setValue = (latex: string) => void (this.latex = latex)
    executeCommand = () => void (this.latex = '')
  }
  customElements.define('math-field', MathfieldElement)
  return { MathfieldElement }
})

afterEach(() => void vi.unstubAllGlobals())

test('what is typed comes out as plain notation, on Enter at once', async () => {
  fakeServer(({ body }) =>
    body['text'] === '\\frac12x'
      ? { body: { text: '1/2x', latex: '' } }
      : { status: 422, body: {} },
  )
  const field = mount(TypesetField, {
    props: { modelValue: '', label: 'Next line', describedBy: 'hint' },
  })
  await flushPromises()
  const element = field.find('math-field')

  Object.assign(element.element, { latex: '\\frac12x' })
  await element.trigger('keydown', { key: 'Enter' })
  await flushPromises()
  Object.assign(element.element, { latex: '\\frac{1}{' })
  await element.trigger('keydown', { key: 'Enter' })
  await flushPromises()

  // what cannot be read stays as it was written
  expect(field.emitted('update:modelValue')).toEqual([['1/2x'], ['\\frac{1}{']])
  expect(field.emitted('enter')).toHaveLength(2)
  expect(element.attributes('aria-describedby')).toBe('hint')
})
