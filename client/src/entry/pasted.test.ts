import { expect, test } from 'vitest'
import { pastedLines } from './pasted'

test.each([
  ['2x = 6\n\n x = 3 ', ['2x = 6', 'x = 3']],
  ['x = 3', ['x = 3']],
  [
    '\\begin{align*} 2x + 3 &= 9 \\\\ 2x &= 6 \\\\[4pt] x &= 3 \\end{align*}',
    ['2x + 3 = 9', '2x = 6', 'x = 3'],
  ],
  [
    '\\[\\begin{aligned}\n\\sqrt{72} &= \\sqrt{36 \\cdot 2} \\\\\n&= 6\\sqrt{2}.\n\\end{aligned}\\]',
    ['\\sqrt{72} = \\sqrt{36 \\cdot 2}', '= 6\\sqrt{2}'],
  ],
  [
    '\\begin{array}{rcl} x &=& 2 \\\\ y &=& \\frac{1}{2} \\end{array}',
    ['x = 2', 'y = \\frac{1}{2}'],
  ],
  [
    '$$\\begin{split} a &= b \\nonumber \\\\ \\implies c &= d \\label{e1} \\end{split}$$',
    ['a = b', 'c = d'],
  ],
  ['\\begin{alignat}{2} x &= 1 \\\\ \\end{alignat}', ['x = 1']],
  ['x = \\{1, 2\\} \\\\ x = 3', ['x = \\{1, 2\\}', 'x = 3']],
])('%s is read line by line', (text, lines) => {
  expect(pastedLines(text)).toEqual(lines)
})
