/** The keys of the board: a step each, or what it shows besides. */
import type { Ref } from 'vue'
import { toggleTheme } from '@/shared/composables/theme'
import type { Keys } from '@/shared/composables/useKeys'
import { ask, back, beside, fork, mark, next, START, type Reveal } from './reveal'
import type { Board } from './useBoard'

/** What is shown besides the lines, or not. */
export interface Shown {
  lights: Ref<boolean>
  says: Ref<boolean>
  marks: Ref<boolean>
  helps: Ref<boolean>
}

export function boardKeys(now: Ref<Reveal>, board: Board, shown: Shown): Keys {
  const forward = () => (now.value = next(now.value, board.count.value))
  const backward = () => (now.value = back(now.value))
  return {
    ArrowRight: forward,
    ArrowDown: forward,
    PageDown: forward,
    ' ': forward,
    ArrowLeft: backward,
    ArrowUp: backward,
    PageUp: backward,
    Home: () => (now.value = START),
    End: () => (now.value = { ...START, shown: board.count.value }),
    P: () => (now.value = ask(now.value, board.count.value)),
    F: () => (now.value = fork(now.value, board.here.value.length)),
    S: () => (shown.lights.value = !shown.lights.value),
    W: () => (shown.says.value = !shown.says.value),
    M: () => (now.value = mark(now.value, board.groups.value.length)),
    D: () => (now.value = beside(now.value, board.pieces.value.length)),
    K: () => (shown.marks.value = !shown.marks.value),
    T: toggleTheme,
    H: () => (shown.helps.value = !shown.helps.value),
  }
}
