/** Plain notation made pleasant to read where it is not typeset: true minus signs, raised digits. */
const RAISED = '⁰¹²³⁴⁵⁶⁷⁸⁹'

export function readable(text: string): string {
  return text
    .replace(/!=/g, '≠')
    .replace(/\+-/g, '±')
    .replace(/-/g, '−')
    .replace(/\s*\*\s*/g, ' · ')
    .replace(/\^\(?(−?\d+)\)?/g, (_, digits: string) =>
      digits.replace(/\d/g, (digit) => RAISED[Number(digit)] ?? digit).replace('−', '⁻'),
    )
}
