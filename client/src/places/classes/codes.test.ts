import { expect, test } from 'vitest'
import { codesOf } from './codes'

test.each([
  ['', []],
  ['a\n b \n\na', ['a', 'b']],
  ['1-4', ['1', '2', '3', '4']],
  ['08–11', ['08', '09', '10', '11']],
  ['7; 9, 12', ['7', '9', '12']],
  ['4-2', ['4-2']],
  ['1-999', ['1-999']],
  ['seat-3', ['seat-3']],
])('%j gives the codes %j', (text, codes) => {
  expect(codesOf(text)).toEqual(codes)
})
