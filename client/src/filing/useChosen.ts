/** Rows that are chosen in a table, to do something with all of them. */
import { shallowRef, useTemplateRef, watch, type Ref, type WatchSource } from 'vue'

/** The table that is shown, by its name in the template. */
const TABLE = 'table'

/** @param changes after a change of one of these, what was chosen before is forgotten */
export function useChosen<Row>(changes: WatchSource<unknown>[]): { chosen: Ref<Row[]> } {
  const chosen = shallowRef<Row[]>([])
  const table = useTemplateRef<{ clear: () => void }>(TABLE)
  watch(changes, () => {
    chosen.value = []
    table.value?.clear()
  })
  return { chosen }
}
