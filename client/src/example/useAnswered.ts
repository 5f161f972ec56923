/** What the core answers of a problem, asked for after a pause where somebody looks, and never shown of another. */
import { useQuery } from '@tanstack/vue-query'
import { refDebounced } from '@vueuse/core'
import { computed, type Ref } from 'vue'
import type { Schemas } from '@/api/client'

/** Milliseconds without a change before it is asked for: judging comes first. */
const PAUSE = 250

/**
 * @param name what is asked, by which answers are kept
 * @param problem the problem with its lines
 * @param isShown whether anybody looks: nothing is asked for otherwise
 * @param ask asks for it
 */
export function useAnswered<Answer>(
  name: string,
  problem: Ref<Schemas['ProblemIn']>,
  isShown: Ref<boolean>,
  ask: (body: Schemas['ProblemIn'], signal: AbortSignal) => Promise<Answer>,
) {
  const text = computed(() => JSON.stringify(problem.value))
  const asked = refDebounced(text, PAUSE)
  const { data, error, refetch } = useQuery({
    queryKey: computed(() => [name, asked.value]),
    queryFn: ({ signal }) => ask(JSON.parse(asked.value) as Schemas['ProblemIn'], signal),
    enabled: computed(() => isShown.value && !!problem.value.given.trim()),
    staleTime: Infinity,
    gcTime: 60_000,
  })
  /** Null while it is not of what is shown. */
  const answer = computed(() =>
    isShown.value && asked.value === text.value ? (data.value ?? null) : null,
  )
  return { answer, error, refetch }
}
