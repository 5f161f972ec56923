import { expect, test } from 'vitest'
import { atX, atY, branchPath, ticks, type Frame } from './plot'

const frame: Frame = { width: 200, height: 100, x: [-10, 10], y: [-5, 5] }

test('the plane is put into the picture, y upwards', () => {
  expect([atX(frame, -10), atX(frame, 0), atX(frame, 10)]).toEqual([0, 100, 200])
  expect([atY(frame, -5), atY(frame, 0), atY(frame, 5)]).toEqual([100, 50, 0])
  expect(
    branchPath(frame, [
      [-10, 0],
      [0, 5],
    ]),
  ).toBe('M0.0 50.0L100.0 0.0')
})

test('ticks are whole, few, and leave out 0 and the edges', () => {
  expect(ticks(-8, 8)).toEqual([-6, -4, -2, 2, 4, 6])
  expect(ticks(-60, 60).every((value) => value % 20 === 0)).toBe(true)
})
