/** A list in pages: the next one is fetched when it is wanted, what is shown stays while another is sought. */
import { keepPreviousData, useInfiniteQuery } from '@tanstack/vue-query'
import { computed, type Ref } from 'vue'
import { saidOf } from '@/api/queries'
import { useGrowing } from '@/shared/composables/useGrowing'

interface Page<T> {
  results: T[]
  next: string | null
}

/** Milliseconds after which a list is read again while something of it is being worked out. */
const A_MOMENT = 1500

/**
 * @param kind names the list in the cache
 * @param wanted what is sought: a change begins at the first page
 * @param fetch gets the page that begins at a cursor
 * @param unsettled whether a row is still being worked out: the list is read again then
 */
export function useListed<T, W extends object>(
  kind: string,
  wanted: Ref<W>,
  fetch: (wanted: W, cursor: string) => Promise<Page<T>>,
  unsettled: (row: T) => boolean = () => false,
) {
  const query = useInfiniteQuery({
    queryKey: computed<readonly unknown[]>(() => [kind, 'listed', wanted.value]),
    queryFn: ({ pageParam }) => fetch(wanted.value, pageParam),
    initialPageParam: '',
    getNextPageParam: (last: Page<T>) => last.next,
    placeholderData: keepPreviousData,
    refetchInterval: ({ state }) =>
      state.data?.pages.some((page) => page.results.some(unsettled)) ? A_MOMENT : false,
  })
  const all = computed<T[]>(() => query.data.value?.pages.flatMap((page) => page.results) ?? [])
  const drawn = useGrowing(() => all.value.length)
  return {
    rows: computed(() => all.value.slice(0, drawn.value)),
    pending: computed(() => query.isPending.value),
    seeking: computed(() => query.isPlaceholderData.value),
    failure: computed(() => saidOf(query.error.value ?? query.failureReason.value)),
    again: () => query.refetch(),
    hasMore: computed(() => query.hasNextPage.value && drawn.value >= all.value.length),
    more: () => query.fetchNextPage(),
    fetchingMore: computed(() => query.isFetchingNextPage.value),
  }
}
