import type { VueWrapper } from '@vue/test-utils'

/** Unfold everything that is folded away, as a click on each summary does. */
export async function unfolded(wrapper: VueWrapper): Promise<void> {
  for (const details of wrapper.findAll('details')) {
    ;(details.element as HTMLDetailsElement).open = true
    await details.trigger('toggle')
  }
}
