/** A judged example as stops on the spine. */
import type { Schemas } from '@/api/client'
import { aroundOf, marksOf } from '@/spine/marks'
import type { StopLine } from '@/spine/types'

/** Return the given as a stop, with `says` beside it. */
export function givenStop(reads: Schemas['Reading'], says: string): StopLine {
  const { text, sides, spoken } = reads
  return { number: 0, text, mark: 'given', sides, spoken, words: says }
}

/** Return the words beside a line: its error, the teacher's own reason, or the recognised one. */
export function saidOf(
  line: Schemas['CheckedLine'],
  own: string | undefined,
): Pick<StopLine, 'words' | 'pieces'> {
  if (line.error) return { words: line.error.name }
  if (own) return { words: own }
  if (line.failure) return { words: line.failure.message }
  if (line.doubt_name) return { words: line.doubt_name }
  if (line.tested && line.verdict === 'unproved') return { words: line.tested }
  return { words: line.says ?? '', pieces: line.parts ?? [] }
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
    ...saidOf(line, reasons[line.text]),
    ...aroundOf(line),
  }))
}
