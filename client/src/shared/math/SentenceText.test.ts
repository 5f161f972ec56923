import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import SentenceText from './SentenceText.vue'

const math = { text: '1/2', latex: '\\frac{1}{2}', spoken: 'one half' }

test('mathematics inside a sentence is typeset and spoken', () => {
  const pieces = [{ text: 'Subtract ' }, { math }, { text: ' from both sides.' }]
  const sentence = mount(SentenceText, { props: { text: 'Subtract 1/2 from both sides.', pieces } })

  expect(sentence.find('.katex').exists()).toBe(true)
  expect(sentence.find('.u-unseen').text()).toBe('one half')
  expect(sentence.text()).toContain('Subtract')
  expect(sentence.text()).toContain('from both sides.')
})

test('a stop is not parted from the formula before it', () => {
  const pieces = [
    { text: 'Divide by ' },
    { math },
    { text: '. Then add ' },
    { math },
    { text: '.' },
  ]
  const sentence = mount(SentenceText, { props: { text: '', pieces } })

  const wholes = sentence.findAll('.whole').map((part) => part.text())
  expect(wholes.every((text) => text.endsWith('.'))).toBe(true)
  expect(sentence.text().match(/\./g)).toHaveLength(2)
})

test('without pieces the text stands, and no text is no fault', () => {
  expect(mount(SentenceText, { props: { text: 'The same.' } }).text()).toBe('The same.')
  expect(mount(SentenceText, { props: { text: null, pieces: [] } }).text()).toBe('')
})
