/** A place whose code did not come: it is said, and tried again. */
import { computed, onScopeDispose, ref } from 'vue'
import { useRouter, type RouteLocationNormalized } from 'vue-router'
import { loadSession } from '@/api/session'
import { useAction } from '@/api/useAction'
import { words } from '@/texts/en'

export function useUnreached() {
  const router = useRouter()
  const place = ref<RouteLocationNormalized | null>(null)
  const { refusal, run } = useAction()
  const stops = [
    router.onError((_reason, to) => void (place.value = to)),
    router.afterEach(() => void (place.value = null)),
  ]
  onScopeDispose(() => stops.forEach((stop) => stop()))

  /** What is said of it; '' while every place came. */
  const says = computed(() => (place.value ? refusal.value || words.failures.place : ''))

  /** Load the page of that place anew, once the server answers: a browser asks for code only once. */
  async function again(): Promise<void> {
    const to = place.value
    if (to && (await run(loadSession))) location.assign(to.fullPath)
  }

  return { says, again }
}
