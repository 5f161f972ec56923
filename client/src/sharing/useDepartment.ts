/** What the department shares, and the classes that are handed over: one request, kept while it is looked at. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result } from '@/api/client'

export const DEPARTMENT = ['department']

export function useDepartment() {
  const cache = useQueryClient()
  const query = useQuery({
    queryKey: DEPARTMENT,
    queryFn: () => result(api.GET('/api/shared')),
  })
  return {
    query,
    shared: computed(() => query.data.value?.shared ?? []),
    handed: computed(() => query.data.value?.handed ?? []),
    changed: () => cache.invalidateQueries({ queryKey: DEPARTMENT }),
  }
}
