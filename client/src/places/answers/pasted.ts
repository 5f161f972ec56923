/** Answers as they are pasted: one a line, each with a code before it where there is one. */
export interface GivenAnswer {
  /** The code before it; empty where there is none. */
  code: string
  text: string
}

const TAB = /^([^\t]*)\t(.*)$/
/** A code is short, one word, and no mathematics: a seat, a number, a nickname. */
const COLON = /^\s*([\p{L}\d_.-]{1,16})\s*:\s*(.*)$/u

/**
 * Return the answers of a pasted text.
 *
 * Empty lines at the end are none; others are blank answers. A code is read before a tab; before a colon only
 * where every line has one, for a colon may be mathematics.
 */
export function pasted(text: string): GivenAnswer[] {
  const lines = text
    .replace(/\r\n?/g, '\n')
    .replace(/[\n ]+$/, '')
    .split('\n')
  if (lines.length === 1 && !lines[0]) return []
  const written = lines.filter((line) => line.trim())
  const shape = written.some((line) => TAB.test(line))
    ? TAB
    : written.every((line) => COLON.test(line))
      ? COLON
      : null
  return lines.map((line) => {
    const [, code = '', answer = ''] = shape?.exec(line) ?? []
    return shape?.test(line)
      ? { code: code.trim(), text: answer.split('\t').at(-1)?.trim() ?? '' }
      : { code: '', text: line.trim() }
  })
}
