import katex from 'katex'
import { expect, test, vi } from 'vitest'
import { kept, typeset } from './typeset'

test('a formula is typeset once for those who see and once for those who listen; the oldest are forgotten', () => {
  const render = vi.spyOn(katex, 'renderToString')
  expect(typeset('x^2', true)).toContain('<math')
  expect(typeset('x^2', false)).not.toContain('<math')
  expect(typeset('x^2', true)).toBe(typeset('x^2', true))
  expect(render).toHaveBeenCalledTimes(2)

  for (let n = 0; n < 1600; n += 1) typeset(`${n}`, false)
  render.mockClear()
  typeset('x^2', true)
  expect(render).toHaveBeenCalledTimes(1)
})

test('a line is broken between terms, never inside a bracket, and names of parts change no break', () => {
  expect(kept('3(2x-5)-4(x-1)')).toBe('3{(2x-5)}-4{(x-1)}')
  expect(kept(String.raw`\left(\frac{1}{2}\right)(x)`)).toBe(
    String.raw`\left(\frac{1}{2}\right){(x)}`,
  )
  expect(kept(String.raw`[2, 3)`)).toBe('[2, 3)')
  const pieces = (latex: string) => typeset(latex, false).split('class="base"').length
  const plain = '3(2x-5)-4(x-1)'
  const named = String.raw`\htmlClass{m-0-0}{3}(2x-\htmlClass{m-0-1}{5})-\htmlClass{m-0-2}{4}(x-1)`
  expect(pieces(named)).toBe(pieces(plain))
  expect(typeset(String.raw`\htmlClass{other}{x}`, false)).not.toContain('class="enclosing other"')
})
