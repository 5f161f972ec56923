/** Which mark a judged line gets: shape first, colour second. */
import type { CheckedLine, Mark } from './types'

/**
 * Return the mark of `line`.
 * @param line a judged line
 * @param afterError whether an earlier line has left: what follows from it runs parallel
 */
export function markOf(line: CheckedLine, afterError: boolean): Mark {
  if (line.verdict !== 'ok') return line.verdict
  if (line.check_line) return 'check'
  if (line.doubt) return 'doubt'
  if (afterError && !line.feature) return 'parallel'
  return line.conditions?.length ? 'condition' : 'ok'
}

/** Return the marks of a whole paper, in order. */
export function marksOf(lines: readonly CheckedLine[]): Mark[] {
  let left = false
  return lines.map((line) => {
    const mark = markOf(line, left)
    left = left || (!line.feature && (line.verdict === 'wrong' || line.verdict === 'loses'))
    return mark
  })
}

/** Whether the mark says that someone leaves the line: the only use of the warm colour. */
export function isLeaving(mark: Mark): boolean {
  return mark === 'wrong' || mark === 'loses'
}
