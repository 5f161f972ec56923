/** A typed line parted at its sign: what stands left of the spine, the sign, what stands right of it. */

export interface Parted {
  left: string
  /** As typed; '' where there is none yet, or where the line hangs on the spine. */
  sign: string
  right: string
}
/** Where the cursor is: in which field, after how many characters. */
export interface Cursor {
  side: 'left' | 'right'
  at: number
}

const SIGN = /\?=|!=|<=|>=|[=≠≤≥<>≈]/

/**
 * Part a line at its first sign; the three parts together are the line, character by character.
 * @param hangs whether the example is an expression: its lines hang on the spine, a leading `=` is its sign
 */
export function parted(text: string, hangs: boolean): Parted {
  if (hangs) {
    const lead = /^\s*=/.exec(text)?.[0] ?? ''
    return { left: '', sign: lead, right: text.slice(lead.length) }
  }
  const found = SIGN.exec(text)
  if (!found) return { left: text, sign: '', right: '' }
  const after = found.index + found[0].length
  return { left: text.slice(0, found.index), sign: found[0], right: text.slice(after) }
}

/** Whether the text holds a sign of relation. */
export const hasSign = (text: string) => SIGN.test(text)

/** Return where in the whole line the cursor is. */
export function placeOf(cursor: Cursor, { left, sign }: Parted): number {
  return cursor.side === 'left' ? cursor.at : left.length + sign.length + cursor.at
}

/** Return where the cursor stands when it is `place` characters into the line. */
export function cursorAt(place: number, { left, sign }: Parted, hangs: boolean): Cursor {
  if (!hangs && (!sign || place <= left.length))
    return { side: 'left', at: Math.min(place, left.length) }
  return { side: 'right', at: Math.max(0, place - left.length - sign.length) }
}

/** What a press of a key that moves or deletes does at the border of two fields; null where it is the field's own. */
export function overBorder(
  key: string,
  { side, at }: Cursor,
  { left, sign, right }: Parted,
): { text?: string; place: number } | null {
  if (!sign) return null
  const start = left.length + sign.length
  const joined = { text: left + right, place: left.length }
  if (side === 'right' && key === 'Home') return { place: 0 }
  if (side === 'left' && key === 'End') return { place: start + right.length }
  if (side === 'right' && at === 0) {
    if (key === 'ArrowLeft') return { place: left.length }
    if (key === 'Backspace') return joined
  }
  if (side === 'left' && at === left.length) {
    if (key === 'ArrowRight') return { place: start }
    if (key === 'Delete') return joined
  }
  return null
}
