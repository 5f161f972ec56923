/** Choosing, editing, inserting, moving and deleting the lines on the spine. */
import { nextTick, ref, type Ref } from 'vue'

/** What the list tells whoever holds the lines. */
export interface LineChanges {
  change: [index: number, text: string]
  remove: [index: number]
  /** A line is to be written before line `index`. */
  insert: [index: number, text: string]
  move: [index: number, by: number]
  /** The forks of line `number` (0: the given) are to be drawn. */
  fork: [number: number]
  /** A line is pointed at. */
  over: [index: number | null]
  /** The writer goes on below. */
  leave: []
}
type Emit = <Name extends keyof LineChanges>(name: Name, ...told: LineChanges[Name]) => void

/**
 * @param texts the lines as typed
 * @param chosen the chosen line's index
 * @param editing the index of the line that is typed anew
 */
export function useLineList(
  texts: () => string[],
  chosen: Ref<number | null>,
  editing: Ref<number | null>,
  emit: Emit,
) {
  const text = ref('')
  /** Where a new line is being written between others; null when none is. */
  const inserting = ref<number | null>(null)
  const elements = new Map<number, HTMLElement>()

  /** Lines come and go while they are edited: each is found by its number. */
  function note(index: number, element: unknown): void {
    if (element instanceof HTMLElement) elements.set(index, element)
    else elements.delete(index)
  }

  function choose(index: number): void {
    if (index >= texts().length) {
      emit('leave')
      return
    }
    const to = Math.max(0, index)
    chosen.value = to
    editing.value = inserting.value = null
    void nextTick(() => elements.get(to)?.focus())
  }

  function edit(index: number): void {
    text.value = texts()[index] ?? ''
    inserting.value = null
    chosen.value = editing.value = index
  }

  function insert(index: number): void {
    text.value = ''
    editing.value = null
    inserting.value = index
  }

  function keep(index: number): void {
    emit('change', index, text.value)
    choose(index)
  }

  function keepNew(index: number): void {
    if (text.value.trim()) emit('insert', index, text.value)
    inserting.value = null
    choose(index)
  }

  function remove(index: number): void {
    emit('remove', index)
    void nextTick(() => {
      if (chosen.value === null) emit('leave')
      else elements.get(chosen.value)?.focus()
    })
  }

  function move(index: number, by: number): void {
    const to = index + by
    if (to < 0 || to >= texts().length) return
    emit('move', index, by)
    choose(to)
  }

  return {
    text,
    inserting,
    note,
    choose,
    edit,
    insert,
    keep,
    keepNew,
    remove,
    move,
  }
}
