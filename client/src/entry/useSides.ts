/** The two fields of the line that is typed, left and right of the spine, as one text with one cursor. */
import { computed, nextTick, ref, watch, type Ref } from 'vue'
import { cursorAt, overBorder, parted, placeOf, type Cursor } from './sides'

const MOVES = new Set(['ArrowLeft', 'ArrowRight', 'Home', 'End', 'Escape', 'Tab'])

/**
 * @param text the whole line
 * @param hangs whether the lines hang on the spine, without a left side
 * @param fields the two elements, once they are there
 */
export function useSides(
  text: Ref<string>,
  hangs: () => boolean,
  fields: { left: () => HTMLInputElement | undefined; right: () => HTMLInputElement | undefined },
) {
  /** The line here and now: whoever holds it gives it back a moment later than the next key may come. */
  const line = ref(text.value)
  const parts = computed(() => parted(line.value, hangs()))
  /** Whether the whole line is chosen, both its sides: the next character replaces it. */
  const isWhole = ref(false)

  /** Where the cursor is now; null where it is in neither field. */
  function cursor(): Cursor | null {
    for (const side of ['left', 'right'] as const) {
      const field = fields[side]()
      if (field && field === document.activeElement)
        return { side, at: field.selectionStart ?? field.value.length }
    }
    return null
  }

  /** Put the cursor `place` characters into the line: at once, so that the next key goes there. */
  function put(place: number): void {
    const { side, at } = cursorAt(place, parts.value, hangs())
    const settle = () => {
      fields[side]()?.focus({ preventScroll: true })
      fields[side]()?.setSelectionRange(at, at)
    }
    settle()
    const now = line.value
    // a field shows its new text a moment later; who has typed on by then is left alone
    void nextTick(() => line.value === now && fields[side]() === document.activeElement && settle())
  }

  function write(instead: string): void {
    line.value = text.value = instead
  }
  watch(text, (given) => (line.value = given), { flush: 'sync' })

  /** What stands in a field now: `=` at the end of the left side goes over to the right one. */
  function typed(side: Cursor['side'], value: string): void {
    const { left, sign, right } = parts.value
    if (isWhole.value) return replaceAll(value) // the field's own text is replaced already
    const at = fields[side]()?.selectionStart ?? value.length
    if (side === 'left' && sign && value === `${left}=`) {
      const field = fields.left()
      if (field) field.value = left
      put(left.length + sign.length)
      return
    }
    const before = side === 'left' ? '' : left + sign
    write(before + value + (side === 'left' ? sign + right : ''))
    const now = parts.value
    const over = cursorAt(before.length + at, now, hangs())
    const moves = over.side !== side || (side === 'left' ? now.left : now.right) !== value
    if (moves) put(before.length + at)
  }

  function replaceAll(instead: string): void {
    isWhole.value = false
    write(instead)
    put(instead.length)
  }

  /** Keys that concern both sides; true where one was dealt with. */
  function pressed(event: KeyboardEvent): boolean {
    const control = event.ctrlKey || event.metaKey
    if (isWhole.value && control && 'cx'.includes(event.key)) {
      void navigator.clipboard?.writeText(line.value)
      if (event.key === 'x') replaceAll('')
      return true
    }
    if (MOVES.has(event.key)) isWhole.value = false
    const where = cursor()
    if (!where) return false
    if (control && event.key === 'a') isWhole.value = !!parts.value.sign && !hangs()
    const field = fields[where.side]()
    if (control || event.altKey || event.shiftKey || field?.selectionEnd !== where.at) return false
    const over = overBorder(event.key, where, parts.value)
    if (!over) return false
    if (over.text !== undefined) write(over.text)
    put(over.place)
    return true
  }

  /** Put `before` and `behind` round what is chosen; the cursor stands between them, or behind both. */
  function insert(before: string, behind: string): void {
    const where = cursor() ?? cursorAt(line.value.length, parts.value, hangs())
    const from = placeOf(where, parts.value)
    const to = from + Math.max(0, (fields[where.side]()?.selectionEnd ?? where.at) - where.at)
    const inner = line.value.slice(from, to)
    write(line.value.slice(0, from) + before + inner + behind + line.value.slice(to))
    put(from + before.length + inner.length + (inner ? behind.length : 0))
  }

  // the line was taken, undone, or typeset as something else meanwhile: the cursor stays where one writes
  watch(
    [line, hangs],
    ([now, hang], [before, hung]) => {
      const where = cursor()
      if (!where) return
      if (!now && before) put(0)
      else if (hang !== hung) {
        const place = placeOf(where, parted(now, hung))
        void nextTick(() => put(Math.min(place, now.length)))
      }
    },
    { flush: 'sync' },
  )

  /** Put the cursor at the end of the line. */
  const focus = () => put(line.value.length)

  return { parts, isWhole, typed, pressed, replaceAll, insert, focus }
}
