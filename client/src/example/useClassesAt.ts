/** What classes did at an example's forks: the order of forks follows it, then our own. */
import { ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { words } from '@/texts/en'

type ClassAt = Schemas['ClassAt']
type Fork = Schemas['Fork']

/** Return the forks, those first that most students took; hidden ones and equal ones as they were. */
export function byCounts(forks: readonly Fork[], classes: readonly ClassAt[]): Fork[] {
  const counts = new Map<string, number>()
  for (const { errors } of classes)
    for (const { error, count } of errors) counts.set(error, (counts.get(error) ?? 0) + count)
  const of = ({ error }: Fork) => counts.get(error) ?? 0
  return [...forks].sort((one, other) => of(other) - of(one))
}

/** Return in words what each class did by an error; '' where none did it. */
export function didBy(error: string, classes: readonly ClassAt[]): string {
  return classes
    .flatMap(({ title, year, of, errors }) => {
      const count = errors.find((one) => one.error === error)?.count
      return count ? words.before.did(count, of, [title, year].filter(Boolean).join(', ')) : []
    })
    .join('; ')
}

/** @param id the example's id, as a getter; null while it has none */
export function useClassesAt(id: () => string | null) {
  const classes = ref<ClassAt[]>([])
  watch(
    id,
    async (identity) => {
      classes.value = []
      if (!identity) return
      try {
        const params = { path: { identity } }
        const found = await result(api.GET('/api/log/example/{identity}', { params }))
        if (id() === identity) classes.value = found
      } catch (reason) {
        if (!(reason instanceof Refusal)) throw reason // without it forks stand in our own order
      }
    },
    { immediate: true },
  )
  return classes
}
