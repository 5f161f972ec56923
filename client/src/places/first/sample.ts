/** The sample of the first minute: one example with a planted error, and what is spoken of, step by step. */

export const SAMPLE = {
  task: 'solve' as const,
  given: '3(x - 2) = 15',
  lines: ['3x - 6 = 15', '3x = 9', 'x = 3'],
}

/** The place (from 0) of the line with the error. */
export const PLANTED = 1

/** The line that each step speaks of. */
export const STEPS = [0, 1, 1, 2] as const
