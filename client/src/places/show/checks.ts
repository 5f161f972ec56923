/** The check in the original as the last stops of the board: each candidate with both its sides worked out. */
import type { Schemas } from '@/api/client'
import type { StopLine } from '@/spine/types'

/** Return a stop for each candidate that is held against the given. */
export function checkStops(checks: readonly Schemas['CandidateCheck'][]): StopLine[] {
  return checks.map((check) => {
    const side = (lines: readonly Schemas['Typeset'][]) =>
      lines.map((line) => line.latex).join(' = ')
    return {
      number: 0,
      text: check.value,
      mark: check.holds ? 'check' : 'fails',
      sides: {
        left: side(check.left_lines),
        sign: check.holds ? '=' : '≠',
        right: side(check.right_lines),
      },
      spoken: `${check.value}: ${check.says}`,
      words: '',
      pieces: [
        { math: { text: check.value, latex: check.value_latex, spoken: check.value } },
        { text: ` ${check.says}` },
      ],
    }
  })
}
