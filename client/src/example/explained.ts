/** A long paper is explained part by part: the parts put together. */
import type { Schemas } from '@/api/client'

type Checked = Schemas['Checked']

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

/** Ask until every line is explained. */
export async function wholly(ask: (explained: number) => Promise<Checked>): Promise<Checked> {
  let found = await ask(0)
  while (found.unexplained) found = joined(found, await ask(found.explained ?? 0))
  return found
}
