/** The interface's words in the spelling of the teacher's country. */

export type Spelling = 'us' | 'uk'

const US: readonly [RegExp, string][] = [
  [/ationalis/g, 'ationaliz'],
  [/ehaviour/g, 'ehavior'],
  [/ecognis/g, 'ecogniz'],
  [/rganis/g, 'rganiz'],
]
const UK: readonly [RegExp, string][] = [
  [/\b([Ff])actored\b/g, '$1actorised'],
  [/\b([Ff])actoring\b/g, '$1actorising'],
  [/^Factor$/g, 'Factorise'],
  [/^factor /g, 'factorise '],
]

export function spelled(text: string, spelling: Spelling): string {
  const pairs = spelling === 'uk' ? UK : US
  return pairs.reduce((now, [from, to]) => now.replace(from, to), text)
}

/** Return `words`, spelt so, whatever they are made of: texts, lists, functions that give texts. */
export function spelledWords<T>(words: T, spelling: Spelling): T {
  if (typeof words === 'string') return spelled(words, spelling) as T
  if (typeof words === 'function') {
    const said = (...args: unknown[]) =>
      spelledWords((words as unknown as (...a: unknown[]) => unknown)(...args), spelling)
    return said as T
  }
  if (Array.isArray(words)) return words.map((one) => spelledWords(one, spelling)) as T
  if (words && typeof words === 'object') {
    const pairs = Object.entries(words).map(([key, value]) => [key, spelledWords(value, spelling)])
    return Object.fromEntries(pairs) as T
  }
  return words
}
