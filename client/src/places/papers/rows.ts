/** The rows of a sitting's grid: which codes are shown, in which order, and what is counted. */
import type { Schemas } from '@/api/client'

export type Cell = Schemas['Cell']
export type Grid = Schemas['GridOut']

export interface Row {
  student: Schemas['StudentOut']
  /** In the order of the items; undefined where nothing was given. */
  cells: (Cell | undefined)[]
  total: { earned: number; of: number } | null
}

/** What is shown of the grid: only what asks, only who made an error; by code or by total. */
export interface Wish {
  asking: boolean
  error: string
  by: 'code' | 'total'
}

/** What a student earned in all of what is marked, and of how much; null where nothing is. */
export function totalOf(cells: readonly (Cell | undefined)[]): Row['total'] {
  const marked = cells.filter((cell): cell is Cell => cell?.earned != null)
  if (!marked.length) return null
  return {
    earned: marked.reduce((sum, cell) => sum + (cell.earned ?? 0), 0),
    of: marked.reduce((sum, cell) => sum + (cell.of ?? 0), 0),
  }
}

/** The items as they stand across: those of the first version, whose numbers all versions have. */
export function columnsOf(grid: Grid): Schemas['GivenItem'][] {
  return grid.items.filter(({ version }) => version === grid.versions[0])
}

export function rowsOf(grid: Grid, wish: Wish): Row[] {
  const places = new Map(grid.cells.map((cell) => [`${cell.student} ${cell.number}`, cell]))
  const columns = columnsOf(grid)
  const rows = grid.students.map((student) => {
    const cells = columns.map(({ number }) => places.get(`${student.id} ${number}`))
    return { student, cells, total: totalOf(cells) }
  })
  const shown = rows.filter(
    ({ cells }) =>
      (!wish.asking || cells.some((cell) => cell?.asks)) &&
      (!wish.error || cells.some((cell) => cell?.error === wish.error)),
  )
  if (wish.by === 'code') return shown
  return shown.sort((one, other) => (other.total?.earned ?? -1) - (one.total?.earned ?? -1))
}

/** The errors of a sitting, each with how many papers have it, the most first. */
export function errorsOf(grid: Grid): [error: string, students: number][] {
  const who = new Map<string, Set<number>>()
  for (const { error, student } of grid.cells)
    if (error) who.set(error, (who.get(error) ?? new Set()).add(student))
  return [...who]
    .map(([error, students]) => [error, students.size] as [string, number])
    .sort((one, other) => other[1] - one[1])
}

/** How many questions of a sitting the teacher has still to decide. */
export function questionsOf(grid: Grid): number {
  return grid.cells.reduce((sum, cell) => sum + (cell.overruled ? 0 : cell.asks), 0)
}
