/** Code that is needed soon or seldom, loaded while nobody waits: the first visit is as quick as the next. */
import type { Router } from 'vue-router'

type Load = () => Promise<unknown>

const NEXT = ['bench', 'examples', 'sets', 'set', 'show']

/** Load the code of these places and `more` when the browser has nothing else to do; what fails is loaded when it is asked for. */
export function loadAhead(router: Router, more: readonly Load[] = []): void {
  const later = window.requestIdleCallback ?? ((call: () => void) => setTimeout(call, 2000))
  const places = NEXT.map(
    (name) => router.resolve({ name, params: { id: '-' } }).matched[0]?.components?.['default'],
  )
  for (const load of [...places, ...more]) {
    if (typeof load === 'function') later(() => void (load as Load)().catch(() => null))
  }
}
