/** What a set covers: one row an error or a skill, one cell a problem. Pure. */
import type { Schemas } from '@/api/client'

export type Cell = 'revealed' | 'hidden' | 'used' | ''

/** One error or skill, and what each problem does with it. */
export interface Row {
  name: string
  cells: Cell[]
  /** How many problems reveal or use it. */
  count: number
}

type Known = (Schemas['Facts'] | null | undefined)[]

/** Return the errors that the problems reveal or hide, those met most often first, gaps last. */
export function errorsCovered(facts: Known): Row[] {
  const names = new Map<string, string>()
  for (const one of facts)
    for (const error of [...(one?.reveals ?? []), ...(one?.hides ?? [])])
      names.set(error.error, error.name)
  return rows([...names], (key, one) =>
    one.reveals?.some((error) => error.error === key)
      ? 'revealed'
      : one.hides?.some((error) => error.error === key)
        ? 'hidden'
        : '',
  )(facts)
}

/** Return the laws with which the problems are worked, those met most often first. */
export function skillsCovered(facts: Known): Row[] {
  const keys = new Set(facts.flatMap((one) => one?.skills ?? []))
  const named = [...keys].map((key): [string, string] => [key, key.replace(/-/g, ' ')])
  return rows(named, (key, one) => (one.skills?.includes(key) ? 'used' : ''))(facts)
}

function rows(named: [string, string][], cell: (key: string, one: Schemas['Facts']) => Cell) {
  return (facts: Known): Row[] =>
    named
      .map(([key, name]) => {
        const cells = facts.map((one) => (one ? cell(key, one) : ''))
        return { name, cells, count: cells.filter((c) => c === 'revealed' || c === 'used').length }
      })
      .sort((a, b) => b.count - a.count || a.name.localeCompare(b.name))
}
