/** The climb of a set: where it jumps, repeats itself, and the order from easy to hard. */
export interface Step {
  /** Difficulty; null where the problem cannot be worked. */
  readonly score: number | null
  /** The problem without its letters and numbers. */
  readonly shape: string
}

/** A rise of more than this share of the whole climb is a jump. */
const JUMP = 0.45

/** Return the problem with every number and letter replaced: equal for the same exercise in other clothes. */
export function shapeOf(given: string): string {
  return given
    .replace(/\s+/g, '')
    .replace(/sqrt|cbrt|root|abs/g, (word) => word.toUpperCase())
    .replace(/\d+(\.\d+)?/g, '#')
    .replace(/[a-z]/g, 'x')
    .replace(/−/g, '-')
}

/** Return the numbers (from 0) of steps that rise too far above the hardest before them. */
export function jumps(steps: readonly Step[]): number[] {
  const known = steps.map((step) => step.score).filter((score) => score !== null)
  const span = Math.max(...known) - Math.min(...known)
  let top: number | null = null
  return steps.flatMap(({ score }, index) => {
    if (score === null) return []
    const rises = top !== null && score - top > JUMP * span && score - top > 3
    top = Math.max(top ?? score, score)
    return rises ? [index] : []
  })
}

/** Return for each step the number of an earlier one with the same structure, or null. */
export function repeats(steps: readonly Step[]): (number | null)[] {
  return steps.map(({ shape }, index) => {
    const first = steps.findIndex((step) => step.shape === shape)
    return first < index ? first : null
  })
}

/** Return the numbers of the steps from easy to hard; what cannot be worked stays last. */
export function climbing(steps: readonly Step[]): number[] {
  const score = (index: number) => steps[index]?.score ?? Infinity
  return steps.map((_, index) => index).sort((a, b) => score(a) - score(b) || a - b)
}
