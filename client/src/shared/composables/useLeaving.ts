/** Whoever is on the way to another place is not brought back by an answer that comes late. */
import { onScopeDispose, ref, type Ref } from 'vue'
import { isNavigationFailure, NavigationFailureType, useRouter } from 'vue-router'

/** Return whether one has left this place or is on the way out; a way that led nowhere does not count. */
export function useLeaving(): Readonly<Ref<boolean>> {
  const router = useRouter()
  const isLeaving = ref(false)
  const stops = [
    router.beforeEach((to, from) => void (isLeaving.value = to.name !== from.name)),
    router.afterEach((_to, _from, failure) => {
      const isAnotherOnItsWay = isNavigationFailure(failure, NavigationFailureType.cancelled)
      if (failure && !isAnotherOnItsWay) isLeaving.value = false
    }),
    router.onError(() => void (isLeaving.value = false)),
  ]
  onScopeDispose(() => {
    stops.forEach((stop) => stop())
    isLeaving.value = true
  })
  return isLeaving
}
