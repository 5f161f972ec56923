/** Undo and redo over snapshots; pure. */
export interface History<T> {
  past: T[]
  future: T[]
}

const MOST = 200

export function emptyHistory<T>(): History<T> {
  return { past: [], future: [] }
}

/** Remember `before`, the state that a change is made on; what was undone can no longer be redone. */
export function remembered<T>(history: History<T>, before: T): History<T> {
  return { past: [...history.past, before].slice(-MOST), future: [] }
}

/** Step back from `now`: the new history and the state to show, or null at the beginning. */
export function undone<T>(history: History<T>, now: T): { history: History<T>; state: T } | null {
  const state = history.past.at(-1)
  if (state === undefined) return null
  return { history: { past: history.past.slice(0, -1), future: [now, ...history.future] }, state }
}

/** Step forward again from `now`, or null when nothing was undone. */
export function redone<T>(history: History<T>, now: T): { history: History<T>; state: T } | null {
  const [state, ...future] = history.future
  if (state === undefined) return null
  return { history: { past: [...history.past, now], future }, state }
}
