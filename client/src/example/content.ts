/** What an example holds, as the bench edits it. */
import type { Schemas } from '@/api/client'

export interface Content {
  title: string
  task: Schemas['ProblemIn']['task']
  given: string
  variable: string
  numbers: Schemas['ProblemIn']['numbers']
  form: string[]
  /** House rules where this example differs. */
  house: Schemas['OwnRules']
  note: string
  lines: string[]
  /** The teacher's own words for why a line follows, by the line's text. */
  reasons: Record<string, string>
}

export function blank(): Content {
  return {
    title: '',
    task: 'solve',
    given: '',
    variable: '',
    numbers: 'real',
    form: [],
    house: {},
    note: '',
    lines: [],
    reasons: {},
  }
}

export function contentOf(example: Schemas['ExampleOut']): Content {
  return {
    title: example.title ?? '',
    task: example.task,
    given: example.given ?? '',
    variable: example.variable ?? '',
    numbers: example.numbers ?? 'real',
    form: [...(example.form ?? [])],
    house: setRules(example.house),
    note: example.note ?? '',
    lines: [...(example.lines ?? [])],
    reasons: { ...example.reasons },
  }
}

/** The rules that are set, without those that follow the teacher's. */
function setRules(house: Schemas['OwnRules'] | undefined): Schemas['OwnRules'] {
  return Object.fromEntries(Object.entries(house ?? {}).filter(([, value]) => value !== null))
}

export function copyOf(content: Content): Content {
  return {
    ...content,
    form: [...content.form],
    house: { ...content.house },
    lines: [...content.lines],
    reasons: { ...content.reasons },
  }
}

/** Whether two examples hold the same; the order of named things says nothing. */
export function isSame(a: Content, b: Content): boolean {
  return inOrder(a) === inOrder(b)
}

function inOrder(content: Content): string {
  const sorted = (named: object) => Object.entries(named).sort(([x], [y]) => (x < y ? -1 : 1))
  const { house, reasons, ...rest } = content
  return JSON.stringify([sorted(rest), sorted(house ?? {}), sorted(reasons ?? {})])
}

/** Whether nothing has been written yet. */
export function isBlank(content: Content): boolean {
  return !content.given.trim() && !content.title.trim() && content.lines.length === 0
}
