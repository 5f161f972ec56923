/** What the drawing of a worked example is given. */
import type { components } from '@/api/schema'

export type CheckedLine = components['schemas']['CheckedLine']
export type Piece = components['schemas']['Piece']
export type Sides = components['schemas']['Sides']

/** What a stop looks like; each has a shape of its own (see `marks.ts`). */
export type Mark =
  | 'given'
  | 'ok'
  | 'condition'
  | 'may-add'
  | 'loses'
  | 'wrong'
  | 'unfinished'
  | 'unproved'
  | 'unreadable'
  | 'doubt'
  | 'parallel'
  | 'check'
  | 'fails'
  | 'side'
  | 'operation'
  | 'remark'
  | 'back'
  | 'waiting'

/** One stop on the spine. */
export interface StopLine {
  /** 0 for the given, then 1, 2, … */
  number: number
  /** As typed. */
  text: string
  mark: Mark
  sides: Sides | null
  spoken: string
  /** Where it could not be read: 0-based place in the text. */
  at?: number | null
  /** Short words beside it: its reason, or what is wrong. */
  words: string
  /** The same words with their mathematics apart. */
  pieces?: readonly Piece[]
  /** Whether it stands beside the spine: side work, a check, what is done to both sides, words. */
  beside?: boolean
  /** The words on the line. */
  remark?: string
  /** What is done to both sides. */
  operation?: string
  /** Crossed out. */
  struck?: boolean
  /** What a hand has marked on it. */
  drawn?: readonly components['schemas']['DrawnMark'][]
  /** Whether those marks show where somebody left. */
  leaves?: boolean
}
