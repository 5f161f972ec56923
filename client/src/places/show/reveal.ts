/** What a class sees of an example: how far it is revealed, what is asked, which fork is open. */
export interface Reveal {
  /** Lines shown after the given. */
  readonly shown: number
  /** Whether the class is asked for the next line. */
  readonly asking: boolean
  /** The fork that is open at the last line shown, and whether it is struck. */
  readonly fork: { readonly index: number; readonly struck: boolean } | null
}

export const START: Reveal = { shown: 0, asking: false, fork: null }

/** Show the next of `lines` lines; a question or a fork is closed by it. */
export function next(now: Reveal, lines: number): Reveal {
  return { ...START, shown: Math.min(lines, now.shown + 1) }
}

/** Take the last step back: the fork, the question, else the line. */
export function back(now: Reveal): Reveal {
  if (now.fork || now.asking) return { ...START, shown: now.shown }
  return { ...START, shown: Math.max(0, now.shown - 1) }
}

/** Ask the class what comes next; at the end there is nothing to ask. */
export function ask(now: Reveal, lines: number): Reveal {
  return { ...START, shown: now.shown, asking: !now.asking && now.shown < lines }
}

/** Open the next of `forks` forks of this line; an open one is struck first; after the last, none. */
export function fork(now: Reveal, forks: number): Reveal {
  const open = now.fork
  if (open && !open.struck) return { ...now, asking: false, fork: { ...open, struck: true } }
  const index = open ? open.index + 1 : 0
  return { ...now, asking: false, fork: index < forks ? { index, struck: false } : null }
}
