/** Places that are entered from everywhere, loaded while nobody waits: the first visit is as quick as the next. */
import type { Router } from 'vue-router'

const NEXT = ['bench', 'examples', 'sets', 'set', 'show']

/** Load the code of these places when the browser has nothing else to do; what fails is loaded when it is entered. */
export function loadAhead(router: Router): void {
  const later = window.requestIdleCallback ?? ((call: () => void) => setTimeout(call, 2000))
  for (const name of NEXT) {
    const load = router.resolve({ name, params: { id: '-' } }).matched[0]?.components?.['default']
    if (typeof load === 'function')
      later(() => void (load as () => Promise<unknown>)().catch(() => null))
  }
}
