/** What is sought in the list of examples, as the filters hold it and as it is asked for. */
import type { Mark } from '@/spine/types'

export type Order = 'changed' | 'opened' | 'name' | 'easiest' | 'hardest'

export interface Sought {
  words: string
  unit: string
  tag: string
  easiest: number | undefined
  hardest: number | undefined
  /** What is known of the last line; '' for anything, `none` for no line yet. */
  stop: Mark | 'none' | ''
  aside: boolean
  order: Order
}

export function nothingSought(): Sought {
  return {
    words: '',
    unit: '',
    tag: '',
    easiest: undefined,
    hardest: undefined,
    stop: '',
    aside: false,
    order: 'changed',
  }
}

/** Whether nothing is left out. */
export function isAll(sought: Sought): boolean {
  return Object.keys(queryOf({ ...sought, order: 'changed' })).length === 1
}

/** The query of a list: only what is said. */
export function queryOf(sought: Sought) {
  const { words, unit, tag, easiest, hardest, stop, aside, order } = sought
  return {
    order,
    ...(words.trim() && { words: words.trim() }),
    ...(unit && { unit }),
    ...(tag && { tag }),
    ...(easiest != null && { easiest }),
    ...(hardest != null && { hardest }),
    ...(stop && { stop }),
    ...(aside && { aside }),
  }
}
