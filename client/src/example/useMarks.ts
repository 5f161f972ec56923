/** What a hand would mark on an example's lines: asked for where marks are looked at. */
import { computed, type Ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { written, type Division } from '@/spine/tracks'

import type { StopLine } from '@/spine/types'
import { useAnswered } from './useAnswered'

/**
 * @param problem the problem with its lines
 * @param isShown whether anybody looks at marks
 */
export function useMarks(problem: Ref<Schemas['ProblemIn']>, isShown: Ref<boolean>) {
  const { answer } = useAnswered('draw', problem, isShown, (body, signal) =>
    result(api.POST('/api/algebra/draw', { body, signal })),
  )
  /** The lines as they are drawn, the given first; none while they are not those that are shown. */
  const lines = computed(() => answer.value?.lines ?? [])
  return { lines }
}

/**
 * Return a stop with the marks that lie on it, and with its parts named.
 * @param line the line as it is drawn, where it is known
 * @param marks what is drawn of whole steps, on any line
 */
export function withMarks(
  stop: StopLine,
  line: Schemas['DrawnLine'] | undefined,
  marks: readonly Schemas['DrawnMark'][],
): StopLine {
  const mine = marks.filter((mark) => mark.on === stop.number)
  if (!line || !mine.length || !line.sides.right || !stop.sides) return stop
  return { ...stop, sides: line.sides, drawn: mine }
}

/** The division of a stop, its tracks written as its sides are. */
export function dividedAs(division: Division | null | undefined, stop: StopLine): Division | null {
  return written(division ?? null, stop.sides)
}
