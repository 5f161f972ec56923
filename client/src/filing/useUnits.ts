/** The units of a course and the tags in use, and what is done to them. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'

export type Unit = Schemas['UnitOut']
/** What is filed. */
export type Kind = 'examples' | 'sets'

/** A unit with its parts. */
export interface Branch extends Unit {
  parts: Unit[]
}

/** Units of the first level in their order, each with its parts. */
export function branches(units: readonly Unit[]): Branch[] {
  return units
    .filter((unit) => !unit.parent)
    .map((unit) => ({ ...unit, parts: units.filter((part) => part.parent === unit.id) }))
}

export function useUnits() {
  const cache = useQueryClient()
  const action = useAction()
  const { data } = useQuery({
    queryKey: ['units'],
    queryFn: () => result(api.GET('/api/units')),
  })
  const units = computed<Unit[]>(() => data.value ?? [])

  const changed = () => cache.invalidateQueries({ queryKey: ['units'] })

  function make(title: string, parent: string | null): Promise<boolean> {
    return action.run(async () => {
      await result(api.POST('/api/units', { body: { title, parent } }))
      await changed()
    })
  }

  function change(unit: Unit): Promise<boolean> {
    const { id, title, parent, position } = unit
    return action.run(async () => {
      const params = { path: { identity: id } }
      await result(api.PUT('/api/units/{identity}', { params, body: { title, parent, position } }))
      await changed()
    })
  }

  function remove(id: string): Promise<boolean> {
    return action.run(async () => {
      await result(api.DELETE('/api/units/{identity}', { params: { path: { identity: id } } }))
      await changed()
      await cache.invalidateQueries({ queryKey: ['examples'] })
      await cache.invalidateQueries({ queryKey: ['sets'] })
    })
  }

  return { ...action, units, tree: computed(() => branches(units.value)), make, change, remove }
}

/** The tags that things of one kind have. */
export function useTags(kind: Kind) {
  const { data } = useQuery({
    queryKey: [kind, 'tags'],
    queryFn: () =>
      kind === 'examples'
        ? result(api.GET('/api/examples/tags'))
        : result(api.GET('/api/sets/tags')),
  })
  return computed<string[]>(() => data.value ?? [])
}
