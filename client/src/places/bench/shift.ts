/** The shift form a/(x − h) + k: written for the core, moved on the plane. Pure. */

/** Where the asymptotes cross. */
export interface Place {
  h: number
  k: number
}

/** Return the value of a rational number as the core writes it: `3`, `-1/2`. */
export function valueOf(text: string): number {
  const [top = '0', bottom = '1'] = text.split('/')
  return Number(top) / Number(bottom)
}

function term(value: number): string {
  return value < 0 ? `- ${-value}` : `+ ${value}`
}

/** Return a/(x − h) + k in plain notation. */
export function shifted(a: string, { h, k }: Place, unknown: string): string {
  const below = h === 0 ? unknown : `(${unknown} ${term(-h)})`
  const above = /\//.test(a) ? `(${a})` : a
  return `${above}/${below}${k === 0 ? '' : ` ${term(k)}`}`
}
