/** How lines are typed: plainly, or in a typeset field; remembered in this browser. */
import { useStorage } from '@vueuse/core'

export const field = useStorage<'plain' | 'typeset'>('uchuu.field', 'plain')

export function toggleField(): void {
  field.value = field.value === 'plain' ? 'typeset' : 'plain'
}
