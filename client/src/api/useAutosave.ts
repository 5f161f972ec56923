/**
 * The one autosave: what is written is stored after a pause, kept in this browser until it is, tried again,
 * resumed after signing in, and never written over another window's change unasked.
 */
import { useTimeoutFn } from '@vueuse/core'
import { onScopeDispose, ref, watch, type Ref } from 'vue'
import { Refusal, signedOut } from './client'
import { isPassing } from './queries'
import { forget, keep, keptOf } from './unsaved'

/** `refused`: it will not be stored as it is; the next change is tried again. */
export type SaveState = 'saved' | 'saving' | 'waiting' | 'offline' | 'refused' | 'conflict'

const PAUSE = 400
const RETRY = 3000

interface Stored {
  id: string
  version: number
}

interface Writing<T, S extends Stored> {
  /** What is written, of which kind: it names what the browser keeps. */
  kind: string
  /** What to store whenever it changes. */
  content: Ref<T>
  /** An unfinished part, kept in this browser only. */
  draft?: Ref<string>
  isSame: (one: T, other: T) => boolean
  /** Whether there is nothing to store yet. */
  isBlank?: (content: T) => boolean
  copyOf: (content: T) => T
  contentOf: (stored: S) => T
  /** Store it; `id` is null for something new. */
  send: (content: T, id: string | null, version: number) => Promise<S>
  /** Called with the id of what was first stored; waited for, so that “saved” has an address. */
  created?: (id: string) => unknown
}

export function useAutosave<T, S extends Stored>(writing: Writing<T, S>) {
  const { kind, content, isSame, copyOf, contentOf } = writing
  const isBlank = writing.isBlank ?? (() => false)
  const draft = writing.draft ?? ref('')
  const id = ref<string | null>(null)
  const version = ref(0)
  const state = ref<SaveState>('saved')
  const refusal = ref('')
  const theirs = ref<S | null>(null) as Ref<S | null>
  let stored: T | null = null
  /** False until something was opened: nothing is stored of a place that is still empty. */
  let isOpen = false
  let running: Promise<void> | null = null
  /** Grows with everything that is opened: an answer that comes late is not about what is open now. */
  let place = 0

  const isChanged = () =>
    isOpen && (stored ? !isSame(stored, content.value) : !isBlank(content.value))

  function keepHere(): void {
    if (!isOpen) return
    const name = id.value ?? 'new'
    if (!isChanged() && !draft.value.trim()) forget(kind, name)
    else keep(kind, name, { content: content.value, version: version.value, draft: draft.value })
  }

  /** Store what is here now; when this is done it is stored, or `state` says why not. */
  async function save(): Promise<void> {
    soon.stop()
    while (running) await running
    if (state.value === 'conflict') return
    if (!isChanged()) {
      if (state.value !== 'saved') state.value = 'saved'
      return
    }
    running = send().finally(() => (running = null))
    await running
    if (isChanged() && state.value === 'waiting') soon.start()
  }

  async function send(): Promise<void> {
    state.value = 'saving'
    const sent = copyOf(content.value)
    const [mine, opened] = [place, id.value]
    try {
      const made = await writing.send(sent, opened, version.value)
      if (place !== mine) return forgetSent(opened ?? 'new', sent)
      version.value = made.version
      stored = sent
      refusal.value = ''
      if (opened === null) {
        forget(kind, 'new')
        id.value = made.id
        await writing.created?.(made.id)
      }
      state.value = isSame(sent, content.value) ? 'saved' : 'waiting'
      keepHere()
    } catch (reason) {
      if (place === mine) fail(reason)
      else if (!(reason instanceof Refusal)) throw reason
    }
  }

  /** What was left while it was being stored is stored: nothing of it is kept, unless more was typed. */
  function forgetSent(name: string, sent: T): void {
    const kept = keptOf<T>(kind, name)
    if (kept && !kept.draft && isSame(kept.content, sent)) forget(kind, name)
  }

  function fail(reason: unknown): void {
    if (!(reason instanceof Refusal)) throw reason
    if (reason.code === 'stale') {
      theirs.value = (reason.body as { current: S }).current
      state.value = 'conflict'
      return
    }
    const isAway = isPassing(reason) || signedOut.value
    state.value = isAway ? 'offline' : 'refused'
    refusal.value = isAway ? '' : reason.message
    if (isAway && !signedOut.value) retry.start()
  }

  const retry = useTimeoutFn(() => void save(), RETRY, { immediate: false })
  const soon = useTimeoutFn(() => void save(), PAUSE, { immediate: false })

  watch(
    [content, draft],
    () => {
      keepHere()
      if (!isChanged() || state.value === 'conflict') return
      if (state.value !== 'saving') state.value = 'waiting'
      soon.start()
    },
    { deep: true },
  )
  watch(signedOut, (out) => {
    if (!out && state.value === 'offline') void save()
  })
  onScopeDispose(() => {
    if (isChanged()) void save()
  })

  /** Show what the server has (null: something new), or what this browser kept of it. What was open is stored
   * before (`save`), or stays kept here. */
  function opened(found: S | null): void {
    retry.stop()
    soon.stop()
    place += 1
    isOpen = true
    id.value = found?.id ?? null
    version.value = found?.version ?? 0
    theirs.value = null
    refusal.value = ''
    state.value = 'saved'
    stored = found ? copyOf(contentOf(found)) : null
    const kept = keptOf<T>(kind, id.value ?? 'new')
    draft.value = kept?.draft ?? ''
    if (found) content.value = contentOf(found)
    if (!kept || (stored && isSame(stored, kept.content))) return
    content.value = kept.content
    if (found && kept.version !== found.version) {
      theirs.value = found // changed elsewhere while it was not stored: it is asked which one stays
      state.value = 'conflict'
    } else soon.start()
  }

  /** Take what the server made of it: it is stored. */
  function took(found: S): void {
    forget(kind, found.id)
    opened(found)
  }

  /** Settle a conflict: store what is here over the other version, or show theirs. */
  function settle(keepMine: boolean): T | null {
    const other = theirs.value
    if (!other) return null
    version.value = other.version
    stored = copyOf(contentOf(other))
    theirs.value = null
    state.value = keepMine ? 'waiting' : 'saved'
    if (keepMine) void save()
    else {
      content.value = contentOf(other)
      forget(kind, other.id)
    }
    return contentOf(other)
  }

  return { id, version, state, refusal, theirs, opened, took, settle, save }
}
