/** How the width of a spine is shared between its sides: a long left side gets more of it. */
import { readable } from '@/shared/logic/readable'

/** Neither side gets less than this share. */
const LEAST = 0.36
/** Sides that are shorter, in signs, fit as they are. */
const LONG = 13

/** The longest left and right side of lines as typed, in signs as they are read; null where none has two sides, or the spine divides. */
function widest(texts: readonly string[]): [number, number] | null {
  if (texts.some((text) => / or |±|\+-/.test(text))) return null // tracks take half each
  const sides = texts.map((text) => readable(text).split(/[=<>≤≥≠]/)).filter((s) => s.length === 2)
  if (!sides.length) return null
  const longest = (at: number) => Math.max(4, ...sides.map((side) => (side[at] ?? '').length))
  return [longest(0), longest(1)]
}

function leftShare([left, right]: [number, number]): number {
  return Math.min(1 - LEAST, Math.max(LEAST, left / (left + right)))
}

/** Return how many signs lines must have room for, as if their sides were one text: short sides waste their share. */
export function roomFor(texts: readonly string[]): number {
  const sides = widest(texts)
  if (!sides) return 0
  const share = Math.max(...sides) < LONG ? 0.5 : leftShare(sides)
  return Math.max(sides[0] / share, sides[1] / (1 - share))
}

/**
 * Return the custom properties of a spine for lines as typed; none where lines hang on it without a left side.
 * @param texts the lines as typed
 */
export function sharesOf(texts: readonly string[]): Record<string, string> {
  const sides = widest(texts)
  if (!sides || Math.max(...sides) < LONG) return {}
  const share = leftShare(sides)
  return { '--left-share': `${2.05 * share}fr`, '--right-share': `${2.05 * (1 - share)}fr` }
}
