/** What the account's rooms show, each asked for once however many rooms look at it. */
import { useInfiniteQuery, useQuery } from '@tanstack/vue-query'
import { api, result } from '@/api/client'

export const useAccount = () =>
  useQuery({ queryKey: ['account'], queryFn: () => result(api.GET('/api/account')) })

export const usePlaces = () =>
  useQuery({ queryKey: ['places'], queryFn: () => result(api.GET('/api/session/places')) })

export const useAudit = () =>
  useInfiniteQuery({
    queryKey: ['audit'],
    queryFn: ({ pageParam }) =>
      result(api.GET('/api/account/audit', { params: { query: { cursor: pageParam } } })),
    initialPageParam: '',
    getNextPageParam: (page) => page.next ?? undefined,
  })
