import katex from 'katex'
import { expect, test, vi } from 'vitest'
import { typeset } from './typeset'

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
