/** The house rule on decimals, as typeset mathematics shows it: a point, or a comma. */
import { ref } from 'vue'

const decimal = ref<'point' | 'comma'>('point')

export function setDecimal(rule: string | undefined): void {
  decimal.value = rule === 'comma' ? 'comma' : 'point'
}

/** Return LaTeX with decimals written as the house rules have them. */
export function withDecimals(latex: string): string {
  return decimal.value === 'comma' ? latex.replace(/(\d)\.(?=\d)/g, '$1{,}') : latex
}
