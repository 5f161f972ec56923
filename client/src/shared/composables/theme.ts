/** Light or dark, of the desk and of the room that one shows to; each remembered in this browser. */
import { useStorage } from '@vueuse/core'
import { computed, onScopeDispose, ref, watch } from 'vue'

type Theme = 'light' | 'dark'

const desk = useStorage<Theme>('uchuu.theme', 'light')
const room = useStorage<Theme>('uchuu.room-theme', 'light')
const isRoom = ref(false)

/** What is seen now. */
export const theme = computed({
  get: () => (isRoom.value ? room.value : desk.value),
  set: (now) => ((isRoom.value ? room : desk).value = now),
})
watch(theme, (now) => (document.documentElement.dataset['theme'] = now), { immediate: true })

export function toggleTheme(): void {
  theme.value = theme.value === 'dark' ? 'light' : 'dark'
}

/** While the calling component lives, the room's light is what is seen and changed. */
export function useRoomLight(): void {
  isRoom.value = true
  onScopeDispose(() => (isRoom.value = false))
}
