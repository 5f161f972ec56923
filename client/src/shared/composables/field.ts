/** How lines are typed: plainly, or in a typeset field; remembered in this browser. */
import { ref } from 'vue'

const KEY = 'uchuu.field'

export const field = ref<'plain' | 'typeset'>(
  localStorage.getItem(KEY) === 'typeset' ? 'typeset' : 'plain',
)

export function toggleField(): void {
  field.value = field.value === 'plain' ? 'typeset' : 'plain'
  localStorage.setItem(KEY, field.value)
}
