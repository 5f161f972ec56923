/** Where the named parts of a typeset line are, relative to the line. */
import type { Box } from './strokes'

/** What takes room without being seen: struts and spacers of the typesetter. */
const UNSEEN = '.strut, .pstrut, .vlist-s, .nulldelimiter, .mspace, .katex-mathml, .katex-mathml *'
/** A glyph's box is as high as its line: so much of it is above and below what is seen. */
const SPARE = 0.14

/**
 * Return the boxes of the part named `part` in `root`, one for each track on which it stands; none where it is not shown.
 * @param signed whether the sign before it belongs to it
 */
export function boxesIn(root: HTMLElement, part: string, signed = false): Box[] {
  const named = [...root.getElementsByClassName(part)]
  const found = named.length ? named : sidesOf(root, part)
  return found.map((one) => boxOf(root, one, signed)).filter((box) => box !== null)
}

function boxOf(root: HTMLElement, named: Element, signed: boolean): Box | null {
  const sign = signed ? signBefore(root, named) : null
  const boxes = [...(sign ? [sign] : []), ...leaves(named)]
    .map((leaf) => seen(leaf))
    .filter(({ width }) => width > 0)
  if (!boxes.length) return null
  const zero = root.getBoundingClientRect()
  const left = Math.min(...boxes.map((box) => box.left))
  const top = Math.min(...boxes.map((box) => box.top))
  return {
    x: left - zero.left,
    y: top - zero.top,
    width: Math.max(...boxes.map((box) => box.right)) - left,
    height: Math.max(...boxes.map((box) => box.bottom)) - top,
  }
}

/** A whole side has no name of its own: `m-1-0` is the left one of line 1, `m-1` a line without sides. */
function sidesOf(root: HTMLElement, part: string): Element[] {
  const child = /^m-\d+(?:-(0|1))?$/.exec(part)
  if (!child) return []
  const side = child[1] === '0' ? '.left .katex, .from .katex' : '.right .katex, .to .katex'
  return [...root.querySelectorAll(side)]
}

/** The plus or minus right before a part. */
function signBefore(root: HTMLElement, named: Element): Element | null {
  const start = named.getBoundingClientRect()
  const near = start.height
  const signs = [...root.querySelectorAll('.mbin, .mord')].filter((one) => {
    // what the hand has written is no sign of the line
    if (one.closest('.hand') || one.children.length) return false
    if (!/^[+−±-]$/.test(one.textContent ?? '')) return false
    const { right, top, bottom } = one.getBoundingClientRect()
    const gap = start.left - right
    return gap > -1 && gap < near * 0.4 && top < start.bottom && bottom > start.top
  })
  return signs.at(-1) ?? null
}

function* leaves(element: Element): Generator<Element> {
  if (element.matches(UNSEEN)) return
  if (!element.children.length || element instanceof SVGElement) yield element
  else for (const child of element.children) yield* leaves(child)
}

function seen(leaf: Element): {
  left: number
  right: number
  top: number
  bottom: number
  width: number
} {
  const { left, right, top, bottom, width, height } = leaf.getBoundingClientRect()
  const spare = leaf instanceof SVGElement ? 0 : height * SPARE
  return { left, right, top: top + spare, bottom: bottom - spare, width }
}
