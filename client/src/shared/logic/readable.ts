import { spellingNow } from '@/texts/en'
import { spelled } from '@/texts/spelling'

/** Plain notation made pleasant to read where it is not typeset: true minus signs, raised digits. */
const RAISED = '⁰¹²³⁴⁵⁶⁷⁸⁹'

export function readable(text: string): string {
  return text
    .replace(/!=/g, '≠')
    .replace(/<=/g, '≤')
    .replace(/>=/g, '≥')
    .replace(/sqrt\((\w+)\)/g, '√$1')
    .replace(/sqrt\(/g, '√(')
    .replace(/cbrt\((\w+)\)/g, '∛$1')
    .replace(/cbrt\(/g, '∛(')
    .replace(/\s*"([A-Za-z]+)"/g, ' $1')
    .replace(/^ | (?=[/)])/g, '')
    .replace(/\+-/g, '±')
    .replace(/-/g, '−')
    .replace(/\s*\*\s*/g, ' · ')
    .replace(/\^(?:\((−?\d+)\)|(−?\d+))/g, (_, inside: string, plain: string) =>
      raised(inside ?? plain),
    )
}

function raised(digits: string): string {
  return digits.replace(/\d/g, (digit) => RAISED[Number(digit)] ?? digit).replace('−', '⁻')
}

/** The contract’s name of a method, as words. */
export function methodName(key: string): string {
  return spelled(key.replace(/-/g, ' ').replace(/\blcd\b/, 'LCD'), spellingNow())
}
