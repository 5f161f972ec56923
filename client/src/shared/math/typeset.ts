/** LaTeX to HTML, remembered: the same lines stand in lists, on the bench, and there again. */
import katex from 'katex'

/** Formulas that are remembered; the oldest are forgotten first. */
const MOST = 1500
/** Classes that the core may put into a formula: what is lit, and the names of parts that bear marks. */
const OURS = /^(lit|m(-\d+)+)$/
const known = new Map<string, string>()

/** Return `latex` with its brackets as groups: a line is broken between terms, never inside a bracket. */
export function kept(latex: string): string {
  let found = ''
  for (let at = 0; at < latex.length; at++) {
    const sign = latex[at] ?? ''
    const isBare = !latex.slice(0, at).endsWith('\\left') && !latex.slice(0, at).endsWith('\\right')
    if (sign === '(' && isBare) found += '{('
    else if (sign === ')' && isBare) found += ')}'
    else found += sign
  }
  return balanced(found) ? found : latex
}

/** Whether the braces pair up: intervals may open with one kind of bracket and close with another. */
function balanced(latex: string): boolean {
  let open = 0
  for (const sign of latex.replace(/\\[{}]/g, '')) {
    if (sign === '{') open++
    if (sign === '}' && --open < 0) return false
  }
  return open === 0
}

/** Return the HTML of `latex`; `speaks`: with the MathML that a screen reader reads. */
export function typeset(latex: string, speaks: boolean): string {
  const key = (speaks ? 'm' : 'h') + latex
  const found = known.get(key)
  if (found !== undefined) return found
  const made = katex.renderToString(kept(latex), {
    throwOnError: false,
    output: speaks ? 'htmlAndMathml' : 'html',
    strict: false,
    trust: (context) => context.command === '\\htmlClass' && OURS.test(context.class),
  })
  if (known.size >= MOST) known.delete(known.keys().next().value ?? '')
  known.set(key, made)
  return made
}
