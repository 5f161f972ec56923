/** What a class sees of an example: how far it is revealed, what is asked, which fork is open, what the hand has drawn. */
export interface Reveal {
  /** Steps shown after the given. */
  readonly shown: number
  /** Whether the class is asked for the next line. */
  readonly asking: boolean
  /** The fork that is open at the last line shown, and whether it is struck. */
  readonly fork: { readonly index: number; readonly struck: boolean } | null
  /** How many marks of the coming step are drawn already. */
  readonly drawn: number
  /** Which side work stands beside the board; null for none. */
  readonly beside: number | null
}

export const START: Reveal = { shown: 0, asking: false, fork: null, drawn: 0, beside: null }

/** Show the next of `lines` lines; what is open beside it is closed by it. */
export function next(now: Reveal, lines: number): Reveal {
  return { ...START, shown: Math.min(lines, now.shown + 1) }
}

/** Take the last step back: what is open beside, the marks, else the line. */
export function back(now: Reveal): Reveal {
  if (now.fork || now.asking || now.beside !== null)
    return { ...START, shown: now.shown, drawn: now.drawn }
  if (now.drawn) return { ...now, drawn: now.drawn - 1 }
  return { ...START, shown: Math.max(0, now.shown - 1) }
}

/** Ask the class what comes next; at the end there is nothing to ask. */
export function ask(now: Reveal, lines: number): Reveal {
  return { ...START, shown: now.shown, drawn: now.drawn, asking: !now.asking && now.shown < lines }
}

/** Open the next of `forks` forks of this line; an open one is struck first; after the last, none. */
export function fork(now: Reveal, forks: number): Reveal {
  const open = now.fork
  const alone = { ...now, asking: false, beside: null }
  if (open && !open.struck) return { ...alone, fork: { ...open, struck: true } }
  const index = open ? open.index + 1 : 0
  return { ...alone, fork: index < forks ? { index, struck: false } : null }
}

/** Draw the next of `groups` marks of the coming step. */
export function mark(now: Reveal, groups: number): Reveal {
  return { ...now, drawn: Math.min(groups, now.drawn + 1) }
}

/** Open the next of `works` pieces of side work; after the last, none. */
export function beside(now: Reveal, works: number): Reveal {
  const index = now.beside === null ? 0 : now.beside + 1
  return { ...now, asking: false, fork: null, beside: index < works ? index : null }
}
