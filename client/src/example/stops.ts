/** A judged example as stops on the spine. */
import type { Schemas } from '@/api/client'
import { prose } from '@/shared/logic/readable'
import { aroundOf, marksOf } from '@/spine/marks'
import type { StopLine } from '@/spine/types'

/** Return the given as a stop, with `says` beside it. */
export function givenStop(reads: Schemas['Reading'], says: string): StopLine {
  const { text, sides, spoken } = reads
  return { number: 0, text, mark: 'given', sides, spoken, words: says }
}

/** Return the written lines as stops, each with its error or its reason: the teacher's own words first. */
export function writtenStops(
  lines: readonly Schemas['CheckedLine'][],
  reasons: Record<string, string> = {},
): StopLine[] {
  const marks = marksOf(lines)
  return lines.map((line, index) => ({
    number: index + 1,
    text: line.text,
    mark: marks[index] ?? 'waiting',
    sides: line.sides ?? null,
    spoken: line.spoken ?? line.text,
    words: line.error?.name ?? (reasons[line.text] || prose(line.says ?? '')),
    ...aroundOf(line),
  }))
}
