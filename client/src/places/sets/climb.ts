/** The climb of a set: where it jumps, repeats itself, and the order from easy to hard. */
export interface Step {
  /** Difficulty; null where the problem cannot be worked. */
  readonly score: number | null
  /** Equal for the same exercise, at most with other letters; empty while unknown. */
  readonly same: string
  /** Equal for exercises of the same look; empty while unknown. */
  readonly structure: string
}

/** An earlier step (from 0) that a step repeats. */
export interface Repeat {
  of: number
  how: 'same' | 'structure'
}

/** A rise of more than this share of the whole climb is a jump. */
const JUMP = 0.45

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

/** Return for each step an earlier one that it repeats, or null; the same exercise before a like one. */
export function repeats(steps: readonly Step[]): (Repeat | null)[] {
  return steps.map((step, index) => {
    for (const how of ['same', 'structure'] as const) {
      const of = steps.findIndex((other) => !!step[how] && other[how] === step[how])
      if (of >= 0 && of < index) return { of, how }
    }
    return null
  })
}

/** Return the numbers of the steps from easy to hard; what cannot be worked stays last. */
export function climbing(steps: readonly Step[]): number[] {
  const score = (index: number) => steps[index]?.score ?? Infinity
  return steps.map((_, index) => index).sort((a, b) => score(a) - score(b) || a - b)
}
