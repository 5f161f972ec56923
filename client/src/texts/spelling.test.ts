import { afterEach, expect, test } from 'vitest'
import { methodName } from '@/shared/logic/readable'
import { setSpelling, words } from './en'
import { spelled } from './spelling'

afterEach(() => setSpelling('us'))

test('the words are spelt as the country has them, texts that are made too', () => {
  expect([words.tasks.factor, words.study.ends]).toEqual(['Factor', 'End behavior'])
  setSpelling('uk')
  expect([words.tasks.factor, words.study.ends]).toEqual(['Factorise', 'End behaviour'])
  expect(words.bench.forms.factored).toBe('factorised')
  expect(words.forks.leave(2)).toContain('2')
  expect(methodName('simplify-then-rationalise')).toBe('simplify then rationalise')
  setSpelling(undefined)
  expect(methodName('simplify-then-rationalise')).toBe('simplify then rationalize')
})

test('a noun stays', () => {
  expect(spelled('the common factor', 'uk')).toBe('the common factor')
})
