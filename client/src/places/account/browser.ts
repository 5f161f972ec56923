/** What a browser says it is, as somebody would say it. */
import { words } from '@/texts/en'

const NAMES: readonly [RegExp, string][] = [
  [/Edg\//, 'Edge'],
  [/OPR\//, 'Opera'],
  [/Firefox\//, 'Firefox'],
  [/Chrom(e|ium)\//, 'Chrome'],
  [/Safari\//, 'Safari'],
]
const SYSTEMS: readonly [RegExp, string][] = [
  [/Android/, 'Android'],
  [/iPhone|iPad/, 'iOS'],
  [/Windows/, 'Windows'],
  [/Mac OS/, 'macOS'],
  [/CrOS/, 'ChromeOS'],
  [/Linux/, 'Linux'],
]

const found = (names: typeof NAMES, text: string) => names.find(([sign]) => sign.test(text))?.[1]

/** @param text the browser's own line about itself */
export function browserOf(text: string): string {
  const parts = [found(NAMES, text), found(SYSTEMS, text)].filter(Boolean)
  return parts.length ? parts.join(', ') : words.account.someBrowser
}
