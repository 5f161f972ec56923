import { expect, test } from 'vitest'
import { pasted } from './pasted'

test.each([
  ['', []],
  ['\n\n', []],
  ['x = 3', [['', 'x = 3']]],
  [
    '7\n\n1/2\n',
    [
      ['', '7'],
      ['', ''],
      ['', '1/2'],
    ],
  ],
  [
    '12: x = 3\n13:\nmy-seat: no solution',
    [
      ['12', 'x = 3'],
      ['13', ''],
      ['my-seat', 'no solution'],
    ],
  ],
  [
    'hole: (2, 1)\n3',
    [
      ['', 'hole: (2, 1)'],
      ['', '3'],
    ],
  ],
  [
    '12\tx = 3\n13\t',
    [
      ['12', 'x = 3'],
      ['13', ''],
    ],
  ],
  ['12\tFerry\tx = 3', [['12', 'x = 3']]],
  [
    'a\r\nb',
    [
      ['', 'a'],
      ['', 'b'],
    ],
  ],
])('%j is read line by line, with a code where there is one', (text, expected) => {
  expect(pasted(text).map(({ code, text: answer }) => [code, answer])).toEqual(expected)
})

test('every line is one answer, none is lost, whatever is pasted', () => {
  const signs = ['x', '=', ':', '3', ' ', 'a', '1/2', '-', 'or', ';']
  let seed = 7
  const next = (most: number) => (seed = (seed * 48271) % 2147483647) % most
  for (let round = 0; round < 300; round += 1) {
    const line = () =>
      `x${Array.from({ length: next(6) }, () => signs[next(signs.length)]).join('')}`
    const lines = Array.from({ length: 1 + next(8) }, line)
    expect(pasted(lines.join('\n'))).toHaveLength(lines.length)
  }
})
