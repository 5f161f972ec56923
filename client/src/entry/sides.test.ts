import { expect, test } from 'vitest'
import { cursorAt, hasSign, overBorder, parted, placeOf } from './sides'

/** Numbers that look random and are the same in every run. */
function drawn(seed: number): (below: number) => number {
  let state = seed
  return (below) => {
    state = (state * 1103515245 + 12345) % 2147483648
    return Math.floor((state / 2147483648) * below)
  }
}
const KEYS = 'x2+-=<>!?( ≤≠√|^/o'

test('however a line is typed, its parts are the line, and every place in it has its cursor', () => {
  for (let seed = 1; seed <= 400; seed += 1) {
    const next = drawn(seed)
    const text = Array.from({ length: next(14) }, () => KEYS[next(KEYS.length)]).join('')
    for (const hangs of [false, true]) {
      const parts = parted(text, hangs)
      expect(parts.left + parts.sign + parts.right).toBe(text)
      for (let place = 0; place <= text.length; place += 1) {
        const inside = place > parts.left.length && place < parts.left.length + parts.sign.length
        if (inside || (hangs && place < parts.sign.length)) continue
        expect(placeOf(cursorAt(place, parts, hangs), parts)).toBe(place)
      }
    }
  }
})

test.each([
  ['x <= 5', 'x ', '<=', ' 5'],
  ['x != 3', 'x ', '!=', ' 3'],
  ['2(3) ?= 6', '2(3) ', '?=', ' 6'],
  ['x = 3 or x = -3', 'x ', '=', ' 3 or x = -3'],
  ['no solution', 'no solution', '', ''],
])('%s is parted at its first sign', (text, left, sign, right) => {
  expect(parted(text, false)).toEqual({ left, sign, right })
})

test('a line that hangs on the spine has no left side; a leading = is its sign', () => {
  expect(parted(' = 3x', true)).toEqual({ left: '', sign: ' =', right: ' 3x' })
  expect(parted('3x = 4', true)).toEqual({ left: '', sign: '', right: '3x = 4' })
  expect([hasSign('2x = 6'), hasSign('sqrt(72)')]).toEqual([true, false])
})

test('arrows, Home and End go over the sign; deleting at the border joins both sides', () => {
  const parts = parted('2x=6', false)
  expect(overBorder('ArrowRight', { side: 'left', at: 2 }, parts)).toEqual({ place: 3 })
  expect(overBorder('ArrowLeft', { side: 'right', at: 0 }, parts)).toEqual({ place: 2 })
  expect(overBorder('Home', { side: 'right', at: 1 }, parts)).toEqual({ place: 0 })
  expect(overBorder('End', { side: 'left', at: 0 }, parts)).toEqual({ place: 4 })
  const joined = { text: '2x6', place: 2 }
  expect(overBorder('Backspace', { side: 'right', at: 0 }, parts)).toEqual(joined)
  expect(overBorder('Delete', { side: 'left', at: 2 }, parts)).toEqual(joined)
  expect(overBorder('ArrowLeft', { side: 'right', at: 1 }, parts)).toBeNull()
  expect(overBorder('Delete', { side: 'left', at: 2 }, parted('2x', false))).toBeNull()
})
