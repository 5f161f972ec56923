/** Light or dark, for a bright or a darkened room; remembered in this browser. */
import { ref } from 'vue'

const KEY = 'uchuu.theme'

export const theme = ref<'light' | 'dark'>(localStorage.getItem(KEY) === 'dark' ? 'dark' : 'light')

function apply(): void {
  document.documentElement.dataset['theme'] = theme.value
}

export function toggleTheme(): void {
  theme.value = theme.value === 'dark' ? 'light' : 'dark'
  localStorage.setItem(KEY, theme.value)
  apply()
}

apply()
