/** Focus never falls to the page: when what had it is gone, what stood around it gets it. */
import { useActiveElement } from '@vueuse/core'
import { nextTick, watch } from 'vue'

const FOCUSABLE =
  'a[href], button:not(:disabled), input:not(:disabled), textarea:not(:disabled), [tabindex="0"]'

function ancestors(element: Element): Element[] {
  const found: Element[] = []
  for (let at = element.parentElement; at && at !== document.body; at = at.parentElement) {
    found.push(at)
  }
  return found
}

/**
 * The first thing that can be focused in the nearest of `around` that is still there, or that itself; the
 * place's content where another place is shown.
 */
export function inheritor(around: readonly Element[]): HTMLElement | null {
  const nearest = around.find((element) => element.isConnected) as HTMLElement | undefined
  const main = document.getElementById('main')
  if (!nearest || (main && nearest !== main && nearest.contains(main))) return main
  return nearest.querySelector<HTMLElement>(FOCUSABLE) ?? nearest
}

/** Watch over the focus for as long as the application lives. */
export function useFocusGuard(): void {
  const active = useActiveElement({ triggerOnRemoval: true })
  let around: Element[] = []
  watch(
    active,
    async (element) => {
      if (element && element !== document.body) {
        around = ancestors(element)
        return
      }
      if (!around.length) return
      await nextTick()
      if (document.activeElement && document.activeElement !== document.body) return
      const heir = inheritor(around)
      if (!heir) return
      if (!heir.matches(FOCUSABLE)) heir.tabIndex = -1
      heir.focus({ preventScroll: true })
    },
    { flush: 'post' },
  )
}
