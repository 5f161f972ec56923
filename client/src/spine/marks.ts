/** Which mark a judged line gets: shape first, colour second. */
import type { CheckedLine, Mark, StopLine } from './types'

const BESIDE = { check: 'check', side: 'side', operation: 'operation', remark: 'remark' } as const

/**
 * Return the mark of `line`.
 * @param line a judged line
 * @param afterError whether an earlier line has left: what follows from it runs parallel
 */
export function markOf(line: CheckedLine, afterError: boolean): Mark {
  if (line.verdict !== 'ok') return line.verdict
  if (line.role && line.role !== 'chain') return BESIDE[line.role]
  if (line.back) return 'back'
  if (line.doubt) return 'doubt'
  if (afterError && !line.feature) return 'parallel'
  return line.if?.length ? 'condition' : 'ok'
}

/** Return the marks of a whole paper, in order. */
export function marksOf(lines: readonly CheckedLine[]): Mark[] {
  let left = false
  return lines.map((line) => {
    const mark = markOf(line, left)
    if (line.role && line.role !== 'chain') return mark
    if (line.back) left = false
    left = left || (!line.feature && (line.verdict === 'wrong' || line.verdict === 'loses'))
    return mark
  })
}

/** What a stop is told of a line that is more than mathematics: its words, and whether it stands beside. */
export function aroundOf(
  line: CheckedLine | null,
): Pick<StopLine, 'beside' | 'remark' | 'operation' | 'struck'> {
  return {
    beside: !!line?.role && line.role !== 'chain',
    remark: line?.remark ?? '',
    operation: line?.operation ?? '',
    struck: !!line?.struck,
  }
}

/** Whether the mark says that someone leaves the line: the only use of the warm colour. */
export function isLeaving(mark: Mark): boolean {
  return mark === 'wrong' || mark === 'loses'
}
