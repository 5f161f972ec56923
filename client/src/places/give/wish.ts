/** How pages of a set are wished for. */
import type { words } from '@/texts/en'

export type Kind = keyof typeof words.give.kinds

export interface Wish {
  room: keyof typeof words.give.rooms
  paper: keyof typeof words.give.papers
  /** How many lines a worked key has; '' as the set has it. */
  density: '' | 'fine' | 'board' | 'key'
  forks: boolean
  /** Whether the marks of a hand are drawn on the lines. */
  marks: boolean
  /** Whether side work stands under a key. */
  beside: boolean
  /** Whether all parallel versions come in one file. */
  versions: boolean
  seed: number
}

export function usualWish(): Wish {
  return {
    room: 'lines',
    paper: 'a4',
    density: '',
    forks: false,
    marks: false,
    beside: false,
    versions: false,
    seed: 1,
  }
}

/** The wish as the server is asked for it. */
export function queryOf({ density, ...wish }: Wish) {
  return { ...wish, ...(density ? { density } : {}) }
}
