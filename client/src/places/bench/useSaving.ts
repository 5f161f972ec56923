/**
 * Saving as one types. Nothing typed is lost: it is kept in this browser until the server has it,
 * tried again while the server is away, and never written over another window's change unasked.
 */
import { onScopeDispose, ref, watch, type Ref } from 'vue'
import { api, Refusal, result, signedOut, type Schemas } from '@/api/client'
import { later } from '@/shared/logic/debounce'
import { contentOf, copyOf, isBlank, isSame, type Content } from '@/example/content'

export type SaveState = 'saved' | 'saving' | 'waiting' | 'offline' | 'conflict'

const PAUSE = 500
const RETRY = 3000

interface Kept {
  content: Content
  version: number
  draft: string
}

function keptUnder(id: string): string {
  return `uchuu:unsaved:${id}`
}

/** Read what this browser kept of an example that the server does not have. */
export function keptContent(id: string): Kept | null {
  const text = localStorage.getItem(keptUnder(id))
  return text ? (JSON.parse(text) as Kept) : null
}

/**
 * @param content what to save whenever it changes
 * @param draft the unfinished line, kept here only
 * @param created called with the new id when a blank example is first stored
 */
export function useSaving(
  content: Ref<Content>,
  draft: Ref<string>,
  created: (id: string) => void,
) {
  const id = ref<string | null>(null)
  const version = ref(0)
  const state = ref<SaveState>('saved')
  const theirs = ref<Schemas['ExampleOut'] | null>(null)
  let stored: Content | null = null
  let running = false
  let retry: ReturnType<typeof setTimeout> | undefined

  function keep(): void {
    const name = keptUnder(id.value ?? 'new')
    const dirty = stored ? !isSame(stored, content.value) : !isBlank(content.value)
    if (!dirty && !draft.value.trim()) localStorage.removeItem(name)
    else {
      const kept: Kept = { content: content.value, version: version.value, draft: draft.value }
      localStorage.setItem(name, JSON.stringify(kept))
    }
  }

  async function store(sent: Content): Promise<Schemas['ExampleOut']> {
    if (id.value === null) return result(api.POST('/api/examples', { body: sent }))
    return result(
      api.PUT('/api/examples/{identity}', {
        params: { path: { identity: id.value } },
        body: { ...sent, version: version.value },
      }),
    )
  }

  async function save(): Promise<void> {
    if (running || state.value === 'conflict') return
    if (stored ? isSame(stored, content.value) : isBlank(content.value)) {
      state.value = 'saved'
      return
    }
    running = true
    state.value = 'saving'
    const sent = copyOf(content.value)
    try {
      const example = await store(sent)
      version.value = example.version
      stored = sent
      if (id.value === null) {
        localStorage.removeItem(keptUnder('new'))
        id.value = example.id
        created(example.id)
      }
      state.value = isSame(sent, content.value) ? 'saved' : 'waiting'
      keep()
    } catch (refusal) {
      fail(refusal)
    } finally {
      running = false
    }
    if (state.value === 'waiting') soon()
  }

  function fail(refusal: unknown): void {
    if (refusal instanceof Refusal && refusal.code === 'stale') {
      theirs.value = (refusal.body as Schemas['Stale']).current
      state.value = 'conflict'
      return
    }
    state.value = 'offline'
    clearTimeout(retry)
    if (!signedOut.value) retry = setTimeout(() => void save(), RETRY)
  }

  const soon = later(() => void save(), PAUSE)

  watch(
    [content, draft],
    () => {
      keep()
      const changed = stored ? !isSame(stored, content.value) : !isBlank(content.value)
      if (!changed || state.value === 'conflict') return
      if (state.value === 'saved') state.value = 'waiting'
      soon()
    },
    { deep: true },
  )
  watch(signedOut, (out) => {
    if (!out && state.value === 'offline') void save()
  })
  onScopeDispose(() => {
    soon.flush()
    clearTimeout(retry)
  })

  /** Say that `example` is what the server has. */
  function opened(example: Schemas['ExampleOut'] | null): void {
    id.value = example?.id ?? null
    version.value = example?.version ?? 0
    stored = example ? contentOf(example) : null
    state.value = 'saved'
    theirs.value = null
  }

  /** Settle a conflict: save what is here over the other version, or return theirs to be shown. */
  function settle(keepMine: boolean): Content | null {
    const other = theirs.value
    if (!other) return null
    version.value = other.version
    stored = contentOf(other)
    theirs.value = null
    state.value = keepMine ? 'waiting' : 'saved'
    if (keepMine) void save()
    return contentOf(other)
  }

  return { id, version, state, theirs, opened, settle, saveNow: () => soon.flush() }
}
