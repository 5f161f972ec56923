/** LaTeX to HTML, remembered: the same lines stand in lists, on the bench, and there again. */
import katex from 'katex'

/** Formulas that are remembered; the oldest are forgotten first. */
const MOST = 1500
const known = new Map<string, string>()

/** Return the HTML of `latex`; `speaks`: with the MathML that a screen reader reads. */
export function typeset(latex: string, speaks: boolean): string {
  const key = (speaks ? 'm' : 'h') + latex
  const found = known.get(key)
  if (found !== undefined) return found
  const made = katex.renderToString(latex, {
    throwOnError: false,
    output: speaks ? 'htmlAndMathml' : 'html',
    strict: false,
    trust: (context) => context.command === '\\htmlClass' && context.class === 'lit',
  })
  if (known.size >= MOST) known.delete(known.keys().next().value ?? '')
  known.set(key, made)
  return made
}
