/** Keyboard shortcuts of a place, taken off when it is left. */
import { useEventListener } from '@vueuse/core'

export type Keys = Record<string, (event: KeyboardEvent) => void>

/** Return the name of a key press as shortcuts are written: `Ctrl+Z`, `Alt+W`, `?`. */
export function keyName(event: KeyboardEvent): string {
  const key = event.key.length === 1 ? event.key.toUpperCase() : event.key
  const control = event.ctrlKey || event.metaKey ? 'Ctrl+' : ''
  const shift = event.shiftKey && event.key.length > 1 ? 'Shift+' : ''
  const redo = control && event.shiftKey && key === 'Z' ? 'Shift+' : shift
  return `${control}${event.altKey ? 'Alt+' : ''}${redo}${key}`
}

/** Whether the event goes to a place where text is typed. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null
  return !!target && ['INPUT', 'TEXTAREA', 'MATH-FIELD'].includes(target.tagName)
}

/** Listen to `keys` while the calling component lives; plain characters not while typing. */
export function useKeys(keys: Keys): void {
  const listen = (event: KeyboardEvent) => {
    const name = keyName(event)
    const action = keys[name]
    if (!action || (name.length === 1 && isTyping(event))) return
    event.preventDefault()
    action(event)
  }
  useEventListener(window, 'keydown', listen)
}
