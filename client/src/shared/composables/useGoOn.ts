/** Going where an answer leads, unless whoever asked has gone elsewhere meanwhile. */
import { useRouter, type RouteLocationRaw } from 'vue-router'
import { useLeaving } from './useLeaving'

export function useGoOn(): (to: RouteLocationRaw) => Promise<void> {
  const leaving = useLeaving()
  const router = useRouter()
  return async (to) => {
    if (!leaving.value) await router.push(to)
  }
}
