/** Light or dark, for a bright or a darkened room; remembered in this browser. */
import { useStorage } from '@vueuse/core'
import { watch } from 'vue'

export const theme = useStorage<'light' | 'dark'>('uchuu.theme', 'light')

watch(theme, (now) => (document.documentElement.dataset['theme'] = now), { immediate: true })

export function toggleTheme(): void {
  theme.value = theme.value === 'dark' ? 'light' : 'dark'
}
