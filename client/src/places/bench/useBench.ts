/** The bench: one example being written, judged, saved and undone. */
import { computed, ref, watch } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAutosave } from '@/api/useAutosave'
import { blank, contentOf, copyOf, isBlank, isSame, type Content } from '@/example/content'
import { posedProblem } from '@/example/posed'
import { problemOf } from '@/example/problem'
import { emptyHistory, redone, remembered, undone } from './history'
import { useJudging } from '@/example/useJudging'

function send(sent: Content, id: string | null, version: number): Promise<Schemas['ExampleOut']> {
  if (id === null) return result(api.POST('/api/examples', { body: sent }))
  const params = { path: { identity: id } }
  return result(api.PUT('/api/examples/{identity}', { params, body: { ...sent, version } }))
}

/** @param created called with the id of an example when it is first stored */
export function useBench(created: (id: string) => unknown) {
  const content = ref<Content>(blank())
  const draft = ref('')
  const chosen = ref<number | null>(null)
  const editing = ref<number | null>(null)
  /** Tasks that the posed problem may be meant for as well, until one is chosen or a line is written. */
  const asks = ref<Content['task'][]>([])
  const history = ref(emptyHistory<Content>())
  let opening = 0
  const saving = useAutosave<Content, Schemas['ExampleOut']>({
    kind: 'example',
    content,
    draft,
    isSame,
    isBlank,
    copyOf,
    contentOf,
    send,
    created,
  })
  /** Whether the work is said to be at its end: only then is it held against the form that is asked for. */
  const ended = ref(false)
  const judging = useJudging(content, draft, ended)
  watch([content, draft], () => (ended.value = false), { deep: true })

  /** Make a change that can be undone. */
  function change(make: (next: Content) => void): void {
    const next = copyOf(content.value)
    make(next)
    if (isSame(next, content.value)) return
    if (next.task !== content.value.task || next.lines.length) asks.value = []
    history.value = remembered(history.value, copyOf(content.value))
    content.value = next
  }

  function show(step: { history: typeof history.value; state: Content } | null): void {
    if (!step) return
    history.value = step.history
    content.value = copyOf(step.state)
    chosen.value = editing.value = null
  }

  /** Open an example; when another is opened before it has come, the later one stays. */
  async function open(id: string | null): Promise<void> {
    const mine = ++opening
    await saving.save() // of the one before: nothing of it waits for this place any more
    history.value = emptyHistory()
    chosen.value = editing.value = null
    const path = { identity: id ?? '' }
    const found = id
      ? await result(api.GET('/api/examples/{identity}/opened', { params: { path } }))
      : null
    if (mine !== opening) return
    const before = found ? contentOf(found.example) : blank()
    if (found) judging.took(found)
    content.value = before
    asks.value = []
    saving.opened(found?.example ?? null)
    if (!isSame(before, content.value)) history.value = remembered(history.value, copyOf(before))
  }

  /** Keep what was typed as the next lines (a paste may hold several). */
  function addLines(texts: string[]): void {
    const written = texts.map((text) => text.trim()).filter(Boolean)
    if (written.length) change((next) => next.lines.push(...written))
  }

  function keepDraft(): void {
    if (!draft.value.trim()) return
    addLines([draft.value])
    draft.value = ''
    chosen.value = null
  }

  function editLine(index: number, text: string): void {
    editing.value = null
    if (text.trim()) change((next) => (next.lines[index] = text.trim()))
  }

  /** Write a line before line `index`; everything after it is judged anew. */
  function insertLine(index: number, text: string): void {
    if (text.trim()) change((next) => next.lines.splice(index, 0, text.trim()))
  }

  function moveLine(index: number, by: number): void {
    change((next) => {
      const [line] = next.lines.splice(index, 1)
      if (line !== undefined) next.lines.splice(index + by, 0, line)
    })
  }

  /** Say in the teacher's own words why the chosen line follows; empty takes the recognised reason. */
  function explain(words: string): void {
    const text = chosen.value === null ? undefined : content.value.lines[chosen.value]
    if (text === undefined) return
    change((next) => {
      if (words.trim()) next.reasons[text] = words.trim()
      else delete next.reasons[text]
    })
  }

  function removeLine(index: number): void {
    change((next) => next.lines.splice(index, 1))
    const last = content.value.lines.length - 1
    chosen.value = last < 0 ? null : Math.min(index, last)
  }

  /** Pose a problem, with the lines that were pasted below it. */
  function pose(text: string): void {
    const { orElse, lines, variable, ...posed } = posedProblem(text, content.value.task)
    change((next) => {
      Object.assign(next, posed)
      if (variable) next.variable = variable
      next.lines.push(...lines)
    })
    asks.value = orElse
  }

  async function workIt(method?: string): Promise<void> {
    const body = { ...problemOf(content.value), method: method ?? null, lines: [] }
    const worked = await result(api.POST('/api/algebra/work', { body }))
    change((next) => (next.lines = worked.lines.map((line) => line.text)))
    draft.value = ''
    chosen.value = null
  }

  function settle(keepMine: boolean): void {
    const mine = copyOf(content.value)
    const theirs = saving.settle(keepMine)
    if (theirs) history.value = remembered(history.value, keepMine ? theirs : mine)
  }

  /** The line that is looked at, from 0: the chosen one, else the newest; where that only follows an error, the error. */
  const shownIndex = computed(() => {
    const { length } = content.value.lines
    if (chosen.value !== null) return chosen.value
    const marks = [...judging.stops.value, judging.draftStop.value].map((stop) => stop?.mark)
    const isJudged = marks[length] !== undefined && marks[length] !== 'waiting'
    const newest = isJudged ? length : length - 1
    if (marks[newest] !== 'parallel') return newest
    return Math.max(marks.lastIndexOf('wrong', newest), marks.lastIndexOf('loses', newest))
  })
  const shownLine = computed(() => {
    const text = content.value.lines[shownIndex.value] ?? draft.value
    return shownIndex.value < 0 ? null : judging.lineAt(shownIndex.value, text)
  })

  return {
    content,
    draft,
    chosen,
    editing,
    ended,
    asks,
    shownIndex,
    shownLine,
    saving,
    judging,
    canUndo: computed(() => history.value.past.length > 0),
    canRedo: computed(() => history.value.future.length > 0),
    open,
    change,
    pose,
    addLines,
    keepDraft,
    editLine,
    insertLine,
    moveLine,
    explain,
    removeLine,
    workIt,
    settle,
    undo: () => show(undone(history.value, copyOf(content.value))),
    redo: () => show(redone(history.value, copyOf(content.value))),
  }
}

export type Bench = ReturnType<typeof useBench>
