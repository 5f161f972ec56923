/** How an example is told: line by line, the wrong story first, or the answer first. Pure. */
import type { Schemas } from '@/api/client'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'
import { boardSteps } from './checks'

export const SCRIPTS = ['lines', 'wrong', 'answer'] as const
export type Script = (typeof SCRIPTS)[number]

/** What comes on the board with one key: a line, a check, the answer, a line of the wrong story, a vote, its strike. */
export type Beat = 'line' | 'check' | 'answer' | 'wrong' | 'vote' | 'strike'

export interface Step {
  beat: Beat
  /** What stands there then; null where nothing new does. */
  stop: StopLine | null
  /** Of an own line its number. */
  line: number | null
}

/** The whole tempting route: where it leaves, its lines, and what it is called. */
export interface Story {
  fork: Schemas['Fork']
  path: readonly Schemas['LawLine'][]
}

/** Return the steps of the board in the order of a script. */
export function stepsOf(
  script: Script,
  lines: readonly StopLine[],
  checks: readonly StopLine[],
  failing: readonly string[],
  story: Story | null,
): Step[] {
  const plain: Step[] = boardSteps(lines, checks, failing).map((step) => ({
    ...step,
    beat: step.line ? 'line' : 'check',
  }))
  if (script === 'answer') return withAnswer(plain, lines)
  return script === 'wrong' && story ? withStory(plain, story) : plain
}

function withAnswer(steps: readonly Step[], lines: readonly StopLine[]): Step[] {
  const last = lines.filter(({ beside }) => !beside).at(-1)
  if (!last || lines.length < 2) return [...steps]
  const stop = { ...last, number: 0, beside: true, words: words.show.answerFirst, pieces: [] }
  return [{ beat: 'answer', stop, line: null }, ...steps]
}

function withStory(steps: readonly Step[], { fork, path }: Story): Step[] {
  const at = steps.findIndex(({ line }) => (line ?? 0) > fork.after)
  const cut = at < 0 ? steps.map(({ beat }) => beat).lastIndexOf('line') + 1 : at
  const wrong = [cutAtSign(fork.wrong, fork.wrong_latex), ...path.map(fromPath)]
  const told = wrong.map((stop, index): Step => ({
    beat: 'wrong',
    stop: { ...stop, number: fork.after + index + 1 },
    line: null,
  }))
  const vote: Step = { beat: 'vote', stop: null, line: null }
  return [...steps.slice(0, cut), ...told, vote, { ...vote, beat: 'strike' }, ...steps.slice(cut)]
}

/** Nothing gives away that it is wrong: a stop like any other. */
const untold = { mark: 'ok', words: '', pieces: [] } as const

function fromPath({ text, sides, spoken }: Schemas['LawLine']): StopLine {
  return { ...untold, number: 0, text, sides, spoken }
}

function cutAtSign(text: string, latex: string): StopLine {
  const [left, ...right] = latex.split('=')
  const isRelation = right.length === 1
  const sides = {
    left: isRelation ? (left ?? '') : '',
    sign: '=',
    right: isRelation ? (right[0] ?? '') : latex,
  }
  return { ...untold, number: 0, text, sides, spoken: text }
}

/**
 * Return what stands on the board after `shown` steps. The wrong story is struck when its step comes, and makes room
 * for the right way with the next one.
 */
export function onBoard(steps: readonly Step[], shown: number, story: Story | null): StopLine[] {
  const done = steps.slice(0, shown)
  const strike = done.findIndex(({ beat }) => beat === 'strike')
  const isPast = strike >= 0 && shown > strike + 1
  const first = done.findIndex(({ beat }) => beat === 'wrong')
  return done.flatMap(({ beat, stop }, index) => {
    if (!stop || (beat === 'wrong' && isPast)) return []
    if (beat !== 'wrong' || strike < 0) return [stop]
    return [
      index === first
        ? { ...stop, mark: 'wrong', words: `${story?.fork.name}. ${story?.fork.because}` }
        : { ...stop, mark: 'parallel' },
    ]
  })
}
