import { mount } from '@vue/test-utils'
import { nextTick, ref } from 'vue'
import { expect, test } from 'vitest'
import SideFields from './SideFields.vue'

function fields(hangs = false, start = '') {
  const text = ref(start)
  const place = mount(SideFields, {
    attachTo: document.body,
    props: {
      modelValue: start,
      label: 'Next line',
      hangs,
      describedBy: 'says',
      'onUpdate:modelValue': (now: string) => {
        text.value = now
        void place.setProps({ modelValue: now })
      },
    },
  })
  place.vm.focus()
  return { place, text }
}
const active = () => document.activeElement as HTMLInputElement

/** Type as a browser does: into the field that has the focus, at its cursor. */
async function type(keys: string): Promise<void> {
  for (const key of keys) {
    const field = active()
    const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })
    if (field.dispatchEvent(event)) {
      const at = field.selectionStart ?? field.value.length
      field.value = field.value.slice(0, at) + key + field.value.slice(field.selectionEnd ?? at)
      field.setSelectionRange(at + 1, at + 1)
      field.dispatchEvent(new Event('input', { bubbles: true }))
    }
    await nextTick()
  }
}
async function press(key: string, more: KeyboardEventInit = {}): Promise<void> {
  active().dispatchEvent(
    new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }),
  )
  await nextTick()
}

test.each(['x = 3 or x = -3', 'x<=5', 'x != 2', '2(3) ?= 6', 'no solution', '=='])(
  'typed key by key, %s is the line, character by character',
  async (line) => {
    const { place, text } = fields()
    await type(line)
    expect(text.value).toBe(line)
    place.unmount()
  },
)

test('= goes over to the right side; Backspace at its start brings it back', async () => {
  const { place, text } = fields()
  await type('2x=')
  expect(active().getAttribute('aria-label')).toBe('Next line, right side')
  await press('Backspace')
  expect([text.value, active().getAttribute('aria-label')]).toEqual(['2x', 'Next line'])
  await type('=6')
  await press('Home')
  await type('1')
  expect(text.value).toBe('12x=6')
  await press('End')
  await type('5')
  expect(text.value).toBe('12x=65')
  place.unmount()
})

test('= at the end of the left side, where there is a right one, only goes over', async () => {
  const { place, text } = fields(false, '2x=6')
  await press('Home')
  await press('Delete') // in the field: nothing of ours
  active().setSelectionRange(2, 2)
  await type('=')
  expect(text.value).toBe('2x=6')
  await type('1')
  expect(text.value).toBe('2x=16')
  place.unmount()
})

test('the whole line is chosen by Ctrl+A, and replaced by what is typed next', async () => {
  const { place, text } = fields(false, '2x=6')
  const chooseAll = async () => {
    await press('a', { ctrlKey: true })
    active().select() // as the browser does
  }
  await chooseAll()
  expect(place.findAll('.whole')).toHaveLength(2)
  await type('y=1')
  expect(text.value).toBe('y=1')
  await chooseAll()
  active().value = '' // Delete
  active().dispatchEvent(new Event('input', { bubbles: true }))
  expect(text.value).toBe('')
  expect(active().getAttribute('aria-label')).toBe('Next line')
  place.unmount()
})

test('a line that is kept leaves the cursor where the next one begins', async () => {
  const { place } = fields()
  await type('2x=6')
  await place.setProps({ modelValue: '' })
  expect(active().getAttribute('aria-label')).toBe('Next line')
  place.unmount()
})

test('when the problem turns out to hang on the spine, the cursor stays in what was typed', async () => {
  const { place, text } = fields()
  await type('3x')
  await place.setProps({ hangs: true })
  await nextTick()
  await type('+1')
  expect(text.value).toBe('3x+1')
  expect(place.findAll('input')).toHaveLength(1)
  place.unmount()
})
