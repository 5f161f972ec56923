/** Codes as they are typed: one a line or separated, a row of numbers as `1–28`. */
const ROW = /^(\d{1,3})\s*[-–]\s*(\d{1,3})$/
const MOST = 200

export function codesOf(text: string): string[] {
  const found = text
    .split(/[\n,;\t]+/)
    .map((code) => code.trim())
    .filter(Boolean)
    .flatMap((code) => {
      const [, first = '', last = ''] = ROW.exec(code) ?? []
      const count = Number(last) - Number(first) + 1
      if (!first || count < 2 || count > MOST) return [code]
      const width = first.startsWith('0') ? first.length : 0
      return Array.from({ length: count }, (_, n) => String(Number(first) + n).padStart(width, '0'))
    })
  return [...new Set(found)]
}
