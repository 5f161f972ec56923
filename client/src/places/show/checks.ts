/** The check in the original as the last stops of the board: each candidate with both its sides worked out. */
import type { Schemas } from '@/api/client'
import { states } from '@/spine/tracks'
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

/** One step of the board: a line of the example, by its number, or a check (no number). */
export interface BoardStep {
  stop: StopLine
  line: number | null
}

/**
 * Return the steps in the order of a board: the checks last, but before the line that leaves a candidate out.
 * @param failing the candidates that do not check, in LaTeX
 */
export function boardSteps(
  lines: readonly StopLine[],
  checks: readonly StopLine[],
  failing: readonly string[],
): BoardStep[] {
  const written = lines.map((stop, index) => ({ stop, line: index + 1 }))
  const held = checks.map((stop) => ({ stop, line: null }))
  const listed = lines.map((line) => failing.some((value) => states(line, value))).lastIndexOf(true)
  const at = listed < 0 ? written.length : listed + 1
  return [...written.slice(0, at), ...held, ...written.slice(at)]
}
