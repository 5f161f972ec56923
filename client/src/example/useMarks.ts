/** What a hand would mark on an example's lines: asked for where marks are looked at. */
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, type Ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { written, type Division } from '@/spine/tracks'

import type { StopLine } from '@/spine/types'

/** Milliseconds without a change before marks are asked for: judging comes first. */
const PAUSE = 250

/**
 * @param problem the problem with its lines
 * @param isShown whether anybody looks at marks: nothing is asked for otherwise
 */
export function useMarks(problem: Ref<Schemas['ProblemIn']>, isShown: Ref<boolean>) {
  const text = computed(() => JSON.stringify(problem.value))
  const asked = refDebounced(text, PAUSE)
  const { data } = useQuery({
    queryKey: computed(() => ['draw', asked.value]),
    queryFn: ({ signal }) =>
      result(
        api.POST('/api/algebra/draw', {
          body: JSON.parse(asked.value) as Schemas['ProblemIn'],
          signal,
        }),
      ),
    enabled: computed(() => isShown.value && !!problem.value.given.trim()),
    staleTime: Infinity,
    gcTime: 60_000,
  })
  /** The lines as they are drawn, the given first; none while they are not those that are shown. */
  const lines = computed(() =>
    isShown.value && asked.value === text.value ? (data.value?.lines ?? []) : [],
  )
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
