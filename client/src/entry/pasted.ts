/** What is pasted, as lines: plain ones, or aligned LaTeX. */

const ENVIRONMENT = /\\(?:begin|end)\s*\{[^{}]*\}(?:\s*\{[^{}]*\}(?=\s*[^\\=&]))?/g
const NEW_LINE = /\\\\(?:\s*\[[^\]]*\])?|\r?\n/
const DELIMITERS = /^\s*(?:\$\$?|\\\[|\\\()|(?:\$\$?|\\\]|\\\))\s*$/g
/** What stands on an aligned line and is no mathematics. */
const ORNAMENT =
  /\\(?:nonumber|notag|quad|qquad|displaystyle|hline)(?![A-Za-z])|\\(?:tag|label)\*?\s*\{[^{}]*\}/g
/** Arrows between lines say only that the next one follows. */
const ARROW =
  /^\s*(?:\\(?:iff|implies|Rightarrow|Leftrightarrow|Longrightarrow|Longleftrightarrow|therefore)(?![A-Za-z])|⇒|⇔|∴)\s*/

/** Return the lines of `text`; aligned LaTeX without its environment, `&` and `\\`. */
export function pastedLines(text: string): string[] {
  const isAligned = /\\begin\s*\{|\\\\/.test(text)
  const bare = isAligned ? text.replace(ENVIRONMENT, '\n') : text
  const rows = isAligned ? bare.split(NEW_LINE) : bare.split(/\r?\n/)
  return rows
    .map((row) => (isAligned ? plainRow(row) : row.trim()))
    .filter((row) => row && row !== '.')
}

function plainRow(row: string): string {
  return row
    .replace(DELIMITERS, '')
    .replace(/(?<!\\)&/g, ' ')
    .replace(ORNAMENT, ' ')
    .replace(ARROW, '')
    .replace(/\s+/g, ' ')
    .replace(/[.,;]?\s*$/, '')
    .trim()
}
