import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import type { StopLine } from '@/spine/types'
import EntryLine from './EntryLine.vue'

const READABLE: StopLine = {
  number: 1,
  text: 'x = 3',
  mark: 'ok',
  sides: { left: 'x', sign: '=', right: '3' },
  spoken: 'x equals 3',
  words: 'Divide both sides by 2.',
}
const UNREADABLE: StopLine = {
  ...READABLE,
  text: 'x = (',
  mark: 'unreadable',
  sides: null,
  at: 5,
  words: 'A bracket is opened and never closed.',
}

function entry(stop: StopLine | null, text = stop?.text ?? '') {
  return mount(EntryLine, {
    attachTo: document.body,
    props: { modelValue: text, stop, label: 'Next line', number: 1 },
  })
}

test('Enter keeps a readable line', async () => {
  const line = entry(READABLE)

  await line.find('input').trigger('keydown', { key: 'Enter' })

  expect(line.emitted('keep')).toHaveLength(1)
})

test('Enter keeps a line that cannot be read too, and selects nothing that a key would replace', async () => {
  const line = entry(UNREADABLE)
  const field = line.findAll('input')[1]!.element
  field.setSelectionRange(2, 2)

  await line.find('input').trigger('keydown', { key: 'Enter' })

  expect(line.emitted('keep')).toHaveLength(1)
  expect(field.selectionStart).toBe(field.selectionEnd)
  expect(line.find('.says').text()).toBe('')
})

test('the preview keeps its last readable form while one types on', async () => {
  const line = entry(null, '')
  await line.setProps({ stop: READABLE, modelValue: 'x = 3' })
  await line.setProps({ stop: UNREADABLE, modelValue: 'x = (' })

  expect(line.findAll('.preview .katex')).toHaveLength(2)
  expect(line.find('.preview').attributes('data-old')).toBe('true')
  await line.setProps({ stop: null, modelValue: '' })

  expect(line.findAll('.preview .katex')).toHaveLength(0)
})

test('arrow up and Escape leave the line', async () => {
  const line = entry(READABLE)

  await line.find('input').trigger('keydown', { key: 'ArrowUp' })
  await line.find('input').trigger('keydown', { key: 'Escape' })

  expect([line.emitted('up')?.length, line.emitted('leave')?.length]).toEqual([1, 1])
})

test('what cannot be typed by its sign is put round the cursor', async () => {
  const line = entry(null, 'x = 2')
  await line.find('[aria-label="Square root"]').trigger('click')
  expect(line.emitted('update:modelValue')).toEqual([['x = 2sqrt()']])
})

test('a paste of several lines is told as lines, one line is left to the field', async () => {
  const line = entry(null, '')
  const paste = (text: string) =>
    line.find('input').trigger('paste', { clipboardData: { getData: () => text } })
  await paste('x = 3')
  expect(line.emitted('paste')).toBeUndefined()
  await paste('2x &= 6 \\\\ x &= 3')
  expect(line.emitted('paste')).toEqual([[['2x = 6', 'x = 3']]])
})
