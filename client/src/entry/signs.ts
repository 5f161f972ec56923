/** What can be typed besides letters and digits: put round what is chosen, or where the cursor is. */

export interface TypedSign {
  name: 'root' | 'index' | 'fraction' | 'power' | 'plusMinus' | 'bars'
  /** The key that puts it in. */
  key: string
  /** What goes before and behind the cursor. */
  before: string
  behind: string
  latex: string
  /** How it is typed, by example. */
  example: string
}

export const SIGNS: readonly TypedSign[] = [
  {
    name: 'root',
    key: 'Alt+1',
    before: 'sqrt(',
    behind: ')',
    latex: '\\sqrt{x}',
    example: 'sqrt(x + 6)',
  },
  {
    name: 'index',
    key: 'Alt+2',
    before: 'root(3, ',
    behind: ')',
    latex: '\\sqrt[3]{x}',
    example: 'root(3, x)',
  },
  {
    name: 'fraction',
    key: 'Alt+3',
    before: '(',
    behind: ')/()',
    latex: '\\tfrac{a}{b}',
    example: '(x + 1)/(x - 2)',
  },
  { name: 'power', key: 'Alt+4', before: '^(', behind: ')', latex: 'x^{n}', example: 'x^(n + 1)' },
  { name: 'plusMinus', key: 'Alt+5', before: '+-', behind: '', latex: '\\pm', example: 'x = +-3' },
  { name: 'bars', key: 'Alt+6', before: 'abs(', behind: ')', latex: '|x|', example: 'abs(x - 2)' },
]
