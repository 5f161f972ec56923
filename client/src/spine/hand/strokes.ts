/** Marks of a hand as strokes and notes: pure geometry, in pixels of the line they lie on. */
import type { components } from '@/api/schema'

export type DrawnMark = components['schemas']['DrawnMark']

/** Where a part of the line is. */
export interface Box {
  x: number
  y: number
  width: number
  height: number
}

/** What is drawn: a path, how it is dashed, and whether it ends in an arrow head. */
export interface Stroke {
  path: string
  dash?: string
  arrow?: boolean
}

/** What is written at a mark: its mathematics or its sign, and where. */
export interface Note {
  mark: DrawnMark
  /** A letter that tells pairs apart; '' for what is written. */
  letter: string
  x: number
  y: number
  at: 'above' | 'below' | 'right'
}

export interface Drawing {
  strokes: Stroke[]
  notes: Note[]
}

const LETTERS = 'abcdefgh'

/**
 * Return marks in groups: what a hand draws in one go. Pairs, what is done to both sides, arrows from one part.
 */
export function inGroups(marks: readonly DrawnMark[]): DrawnMark[][] {
  const groups: DrawnMark[][] = []
  for (const mark of marks) {
    const last = groups.at(-1)?.at(-1)
    if (last && belongs(last, mark)) groups.at(-1)?.push(mark)
    else groups.push([mark])
  }
  return groups
}

function belongs(last: DrawnMark, mark: DrawnMark): boolean {
  if (last.kind !== mark.kind) return false
  if (mark.pair || last.pair) return mark.pair === last.pair
  if (mark.kind === 'arrow') return mark.part === last.part
  return mark.kind === 'beneath' || mark.kind === 'ring'
}

/**
 * Return what is drawn for `marks`.
 * @param boxesOf where a named part of the line is, on each track of it; none where it is not shown
 * @param em the size of the line's type
 */
export function drawing(
  marks: readonly DrawnMark[],
  boxesOf: (part: string, signed: boolean) => readonly Box[],
  em: number,
): Drawing {
  const found: Drawing = { strokes: [], notes: [] }
  const lettered = new Set(marks.filter((m) => m.kind === 'strike' && m.pair).map((m) => m.pair))
  for (const mark of marks) {
    const ends = mark.to ? boxesOf(mark.to, false) : []
    boxesOf(mark.part, mark.signed).forEach((box, track) => {
      const to = ends[track] ?? null
      if (mark.to && !to) return
      found.strokes.push(...strokesOf(mark, box, to, em))
      const note = noteOf(mark, box, em)
      if (note) found.notes.push(note)
      if (mark.kind === 'strike' && lettered.size > 1) found.notes.push(letterOf(mark, box, em))
    })
  }
  return found
}

function strokesOf(mark: DrawnMark, box: Box, to: Box | null, em: number): Stroke[] {
  const { x, y, width, height } = box
  const gap = em * 0.12
  const [left, right, top, bottom] = [x - gap, x + width + gap, y - gap, y + height + gap]
  switch (mark.kind) {
    case 'strike':
      return struck(mark.pair, left, right, y + gap, y + height - gap)
    case 'box':
      return [{ path: rectangle(left, right, top, bottom, em * 0.08) }]
    case 'ring':
      return [{ path: rectangle(left, right, top, bottom, em * 0.75) }]
    case 'bracket':
      return [
        { path: `M${left + gap} ${top}H${left}V${bottom}H${left + gap}` },
        { path: `M${right - gap} ${top}H${right}V${bottom}H${right - gap}` },
      ]
    case 'join':
      return joined(mark.pair, x, x + width, y + height + gap * 0.6, em)
    case 'swap':
      return [{ path: turned(right + gap * 2, top, bottom), arrow: true }]
    case 'arrow':
      return to ? [{ path: arc(box, to, em), arrow: true }] : []
    default:
      return []
  }
}

/** Strokes of a struck part: pairs differ by their hatch. */
function struck(pair: number, left: number, right: number, top: number, bottom: number): Stroke[] {
  const rising = { path: `M${left} ${bottom}L${right} ${top}` }
  const falling = { path: `M${left} ${top}L${right} ${bottom}` }
  const hatches = [[rising], [falling], [rising, falling]]
  return hatches[Math.max(0, pair - 1) % 3] ?? [rising]
}

/** A line beneath what belongs together: single, double, dashed. */
function joined(pair: number, left: number, right: number, y: number, em: number): Stroke[] {
  const line = (at: number): Stroke => ({ path: `M${left} ${at}H${right}` })
  const kind = Math.max(0, pair - 1) % 3
  if (kind === 1) return [line(y), line(y + em * 0.1)]
  return [kind === 2 ? { ...line(y), dash: `${em * 0.12} ${em * 0.1}` } : line(y)]
}

function rectangle(left: number, right: number, top: number, bottom: number, r: number): string {
  const round = Math.min(r, (right - left) / 2, (bottom - top) / 2)
  const arcTo = (x: number, y: number) => `A${round} ${round} 0 0 1 ${x} ${y}`
  return (
    `M${left + round} ${top}H${right - round}${arcTo(right, top + round)}V${bottom - round}` +
    `${arcTo(right - round, bottom)}H${left + round}${arcTo(left, bottom - round)}V${top + round}` +
    `${arcTo(left + round, top)}Z`
  )
}

/** From the middle of one part over the line to the middle of another. */
function arc(from: Box, to: Box, em: number): string {
  const start = from.x + from.width / 2
  const end = to.x + to.width / 2
  const [startY, endY] = [from.y - em * 0.04, to.y - em * 0.08]
  const rise = em * 0.28 + Math.abs(end - start) * 0.16
  const top = Math.min(startY, endY) - rise
  return `M${start} ${startY}C${start} ${top} ${end} ${top} ${end} ${endY}`
}

function turned(x: number, top: number, bottom: number): string {
  const reach = (bottom - top) * 0.3
  return `M${x} ${bottom}C${x + reach} ${bottom} ${x + reach} ${top} ${x} ${top}`
}

function noteOf(mark: DrawnMark, box: Box, em: number): Note | null {
  if (!mark.text && !mark.sign) return null
  const middle = box.x + box.width / 2
  const note = { mark, letter: '' }
  if (mark.kind === 'beneath')
    return { ...note, x: middle, y: box.y + box.height + em * 0.02, at: 'below' }
  if (mark.kind === 'times')
    return { ...note, x: box.x + box.width + em * 0.18, y: box.y + box.height / 2, at: 'right' }
  return { ...note, x: middle, y: box.y - em * 0.14, at: 'above' }
}

function letterOf(mark: DrawnMark, box: Box, em: number): Note {
  const letter = LETTERS[(mark.pair - 1) % LETTERS.length] ?? ''
  return { mark, letter, x: box.x + box.width + em * 0.2, y: box.y, at: 'above' }
}
