/** A problem as it is typed or pasted: its task from the words before it, or from what stands there. */
import type { Content } from './content'

type Task = Content['task']

export interface PosedProblem {
  task: Task
  given: string
  /** The letter that the words name; '' where they name none. */
  variable: string
  /** Lines that were pasted below it. */
  lines: string[]
  /** Tasks that it may as well be meant for: the teacher is asked. */
  orElse: Task[]
}

const WORDS: readonly [RegExp, Task][] = [
  [/^solve(?:\s+the\s+equation|\s+for\s+([a-z]))?/i, 'solve'],
  [/^factor(?:i[sz]e)?(?:\s+(?:completely|fully|out))?/i, 'factor'],
  [/^(?:simplify|reduce|rationali[sz]e(?:\s+the\s+denominator(?:\s+of)?)?)/i, 'simplify'],
  [/^(?:write|express)\s+in\s+(?:lowest\s+terms|simplest\s+form)/i, 'simplify'],
  [/^(?:expand|multiply\s+out)(?:\s+and\s+simplify)?/i, 'expand'],
  [/^(?:evaluate|calculate|compute|work\s+out|find\s+the\s+value\s+of)/i, 'evaluate'],
  [/^(?:(?:find|state|give)\s+)?(?:the\s+)?domain(?:\s+of)?/i, 'domain'],
  [/^(?:study|sketch|graph|plot)(?:\s+the\s+(?:graph\s+of|function))?/i, 'study'],
]
const NUMBER = /^\s*(?:\d{1,3}|[a-z])\s*[.)]\s+/
const SIGN = /[=<>≤≥≠]/

/**
 * Return the problem that `text` poses.
 * @param before the task so far: it stands where neither words nor the problem say another
 */
export function posedProblem(text: string, before: Task): PosedProblem {
  const [first = '', ...rest] = text.split(/\r?\n/).filter((line) => line.trim())
  const unnumbered = first.replace(NUMBER, '')
  for (const [words, task] of WORDS) {
    const found = words.exec(unnumbered)
    const behind = found && unnumbered.slice(found[0].length)
    if (!found || !behind || !/^\s*[:.,]?\s/.test(behind)) continue
    const given = behind.replace(/^\s*[:.,]?\s*/, '').trim()
    if (!given) continue
    return { task, ...parts(given, rest), variable: found[1]?.toLowerCase() ?? '', orElse: [] }
  }
  const { given, lines } = parts(first.trim(), rest)
  const task = guessedTask(given, before)
  const orElse = task === 'simplify' && isTrinomial(given) ? (['factor', 'study'] as Task[]) : []
  return { task, given, lines, variable: '', orElse }
}

/** An expression that is worked with `=` at its right end, or on the lines below, is parted from its lines. */
function parts(given: string, rest: string[]): Pick<PosedProblem, 'given' | 'lines'> {
  const lines = rest.map((line) => line.trim())
  const chains = lines.length && lines.every((line) => line.startsWith('='))
  const sign = given.indexOf('=')
  if (!chains || sign < 1) return { given, lines }
  return { given: given.slice(0, sign).trim(), lines: [given.slice(sign).trim(), ...lines] }
}

/** The task that a problem asks for by what stands there: an equation is solved, roots are simplified. */
export function guessedTask(given: string, before: Task): Task {
  if (/[^!<>]=/.test(given))
    return before === 'study' && /^\s*[a-z]\s*\(/.test(given) ? before : 'solve'
  if (before !== 'solve') return before
  if (/sqrt|cbrt|root|√|∛/.test(given)) return 'simplify'
  return /[a-z]/i.test(given.replace(/abs/g, '')) ? 'simplify' : 'evaluate'
}

/** Whether nothing stands there but three or more terms in one letter. */
function isTrinomial(given: string): boolean {
  if (SIGN.test(given) || /[()/|√]|sqrt|root|abs/.test(given)) return false
  const letters = new Set(given.match(/[a-z]/gi))
  return letters.size === 1 && given.split(/[+\-−]/).filter((term) => term.trim()).length >= 3
}
