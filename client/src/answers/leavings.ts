/** Where a class left the example: for each line after which some did, how many and by which error. */
import type { Schemas } from '@/api/client'

export type Group = Schemas['PlacedGroup']
type Explained = Schemas['Explained']

export interface Leaving {
  /** After which line of the example: 0 for the given. */
  after: number
  error: Explained
  /** How many, and whether others of their answers' errors leave elsewhere: then they only may have. */
  count: number
  only: boolean
  group: Group
}

/** Return where the groups leave the example's lines, or those of `others` methods; the most first. */
export function leavings(
  groups: readonly Group[],
  whose: 'example' | 'others' = 'example',
): Leaving[] {
  return groups
    .flatMap((group) => {
      const here = group.errors.filter((error) => !error.method === (whose === 'example'))
      return here.map((error) => ({
        after: error.after,
        error,
        count: group.members.length,
        only: group.errors.length === 1,
        group,
      }))
    })
    .sort((one, other) => other.count - one.count)
}

/** The largest wrong groups: what is to be said next. */
export function largest(groups: readonly Group[], most = 2): Group[] {
  return groups.filter((group) => group.where === 'fork').slice(0, most)
}
