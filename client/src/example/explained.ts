/** What was explained once is not asked for again: answers about the same first lines put together. */
import type { Schemas } from '@/api/client'

type Asked = Schemas['ProblemIn']
type Checked = Schemas['Checked']

/** An answer, and what was asked. */
export interface Explained {
  asked: Asked
  checked: Checked
}

function explainedOf(checked: Checked): number {
  return checked.unexplained ? (checked.explained ?? 0) : checked.lines.length
}

/** What lines are judged by: all that is asked but the lines, in an order of its own. */
function groundOf(asked: Asked): string {
  const rest = { lines: null, explains: null, explained: null }
  return JSON.stringify(Object.entries({ ...asked, ...rest }).sort())
}

/** Return what `last` knows of the lines that are asked for now: of the first ones, as long as they are the same. */
export function knownOf(last: Explained | null, asked: Asked): Checked | null {
  if (!last || groundOf(last.asked) !== groundOf(asked)) return null
  const [before, now] = [last.asked.lines ?? [], asked.lines ?? []]
  const other = before.findIndex((line, place) => line !== now[place])
  const same = other < 0 ? before.length : other
  // at its end a line is held against what is asked: the last one is another then
  const explained = asked.goes_on || same === now.length ? same : 0
  return { ...last.checked, explained: Math.min(explained, explainedOf(last.checked)) }
}

/** Whether `known` explains every line of what is asked. */
export function knowsAll(known: Checked, asked: Asked): boolean {
  return known.lines.length === asked.lines?.length && known.explained === known.lines.length
}

/** Return what is known after `more`, which was asked with the lines that `known` explains. */
export function joined(known: Checked, more: Checked): Checked {
  const upTo = known.explained ?? 0
  const isKnown = known.first_wrong !== null && known.first_wrong <= upTo
  return {
    ...more,
    lines: [...known.lines.slice(0, upTo), ...more.lines.slice(upTo)],
    error: isKnown ? known.error : more.error,
  }
}

/** Whether two answers say the same of the first lines, but for the reasons. */
export function agree(known: Checked, more: Checked): boolean {
  const first = known.lines.slice(0, known.explained ?? 0)
  return first.every(({ verdict, role }, place) => {
    const line = more.lines[place]
    return line?.verdict === verdict && line.role === role
  })
}

/** Ask until every line is explained. */
export async function wholly(ask: (explained: number) => Promise<Checked>): Promise<Checked> {
  let found = await ask(0)
  while (found.unexplained) found = joined(found, await ask(found.explained ?? 0))
  return found
}
