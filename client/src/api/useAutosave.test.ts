/** The one autosave: nothing that was typed is lost, nothing of another window is overwritten unasked. */
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { ref } from 'vue'
import { entered, settled } from '@/shared/testing/server'
import { Refusal, signedOut } from './client'
import { keptOf } from './unsaved'
import { useAutosave } from './useAutosave'

interface Note {
  text: string
}
interface Stored extends Note {
  id: string
  version: number
}

const STORED: Stored = { id: 'n1', version: 4, text: 'one' }

beforeEach(() => {
  vi.useFakeTimers()
  localStorage.clear()
  signedOut.value = false
})
afterEach(() => void vi.useRealTimers())

type Send = (note: Note, id: string | null, version: number) => Promise<Stored>

function writing(send: Send) {
  const content = ref<Note>({ text: '' })
  const draft = ref('')
  const created = vi.fn()
  const { value: saving, leave } = entered(() =>
    useAutosave<Note, Stored>({
      kind: 'note',
      content,
      draft,
      isSame: (one, other) => one.text === other.text,
      isBlank: (note) => !note.text,
      copyOf: (note) => ({ ...note }),
      contentOf: ({ text }) => ({ text }),
      send,
      created,
    }),
  )
  return { content, draft, created, saving, leave }
}

const stores = () =>
  vi.fn<Send>(async (note, id, version) => ({ ...note, id: id ?? 'n9', version: version + 1 }))
const away = new Refusal(0, 'network', 'No answer.')

test('a change is stored after a pause, on the version that was seen', async () => {
  const send = stores()
  const { content, saving } = writing(send)
  saving.opened(STORED)

  content.value = { text: 'two' }
  await settled(0)
  expect(saving.state.value).toBe('waiting')
  await settled(600)

  expect(send.mock.calls).toEqual([[{ text: 'two' }, 'n1', 4]])
  expect([saving.state.value, saving.version.value]).toEqual(['saved', 5])
  expect(keptOf('note', 'n1')).toBeNull()
})

test('a new one is stored when something is written, and gets its address', async () => {
  const send = stores()
  const { content, created, saving } = writing(send)
  saving.opened(null)
  await settled(600)
  expect(send).not.toHaveBeenCalled()

  content.value = { text: 'first' }
  await settled(600)

  expect(created).toHaveBeenCalledWith('n9')
  expect(saving.id.value).toBe('n9')
})

test('nothing is stored before anything was opened', async () => {
  const send = stores()
  const { content } = writing(send)
  content.value = { text: 'not ours' }
  await settled(1000)
  expect(send).not.toHaveBeenCalled()
})

test('while the server is away everything is kept here and tried again', async () => {
  const send = stores()
  send.mockRejectedValueOnce(away).mockRejectedValueOnce(away)
  const { content, saving } = writing(send)
  saving.opened(STORED)

  content.value = { text: 'two' }
  await settled(600)
  expect(saving.state.value).toBe('offline')
  expect(keptOf<Note>('note', 'n1')?.content.text).toBe('two')
  await settled(7000)

  expect(saving.state.value).toBe('saved')
  expect(send).toHaveBeenCalledTimes(3)
  expect(keptOf('note', 'n1')).toBeNull()
})

test('what is typed while something is being stored is stored next, on its version', async () => {
  let answer: (stored: Stored) => void = () => undefined
  const send = stores()
  send.mockImplementationOnce(() => new Promise((resolve) => (answer = resolve)))
  const { content, saving } = writing(send)
  saving.opened(STORED)

  content.value = { text: 'two' }
  await settled(600)
  content.value = { text: 'three' }
  await settled(600)
  expect(send).toHaveBeenCalledTimes(1)
  answer({ ...STORED, text: 'two', version: 5 })
  await settled(1000)

  expect(send.mock.calls.map(([note, , version]) => [note.text, version])).toEqual([
    ['two', 4],
    ['three', 5],
  ])
  expect(saving.state.value).toBe('saved')
})

test('an ended session is waited for, and storing goes on after signing in', async () => {
  const send = stores()
  send.mockImplementationOnce(async () => {
    signedOut.value = true
    throw new Refusal(401, 'signed-out', 'Sign in again.')
  })
  const { content, saving } = writing(send)
  saving.opened(STORED)
  content.value = { text: 'two' }
  await settled(20_000)
  expect(send).toHaveBeenCalledTimes(1)
  expect(saving.state.value).toBe('offline')

  signedOut.value = false
  await settled(10)

  expect(saving.state.value).toBe('saved')
})

test('what the server will not have is said once, and tried again when it is changed', async () => {
  const send = stores()
  send.mockRejectedValueOnce(new Refusal(422, 'too-long', 'It is too long.'))
  const { content, saving } = writing(send)
  saving.opened(STORED)
  content.value = { text: 'far too long' }
  await settled(20_000)
  expect([saving.state.value, saving.refusal.value]).toEqual(['refused', 'It is too long.'])
  expect(send).toHaveBeenCalledTimes(1)

  content.value = { text: 'short' }
  await settled(600)
  expect([saving.state.value, saving.refusal.value]).toEqual(['saved', ''])
})

const elsewhere = { ...STORED, version: 7, text: 'theirs' }
const stale = () => new Refusal(409, 'stale', 'Changed.', null, { current: elsewhere })

test.each([
  [true, 'mine', [['mine', 7]]],
  [false, 'theirs', []],
])('a conflict is asked; keeping mine: %s', async (keepMine, shown, stored) => {
  const send = stores()
  send.mockRejectedValueOnce(stale())
  const { content, saving } = writing(send)
  saving.opened(STORED)
  content.value = { text: 'mine' }
  await settled(600)
  expect(saving.state.value).toBe('conflict')
  content.value = { text: 'mine' }
  await settled(5000)
  expect(send).toHaveBeenCalledTimes(1)

  saving.settle(keepMine)
  await settled(600)

  expect(content.value.text).toBe(shown)
  expect(send.mock.calls.slice(1).map(([note, , version]) => [note.text, version])).toEqual(stored)
  expect(saving.state.value).toBe('saved')
  expect(keptOf('note', 'n1')).toBeNull()
})

async function leftBehind(text: string, draft = '') {
  const first = writing(vi.fn<Send>().mockRejectedValue(away))
  first.saving.opened(STORED)
  first.content.value = { text }
  first.draft.value = draft
  await settled(600)
  first.leave()
}

test('what was not stored is there after a reload, and is stored then', async () => {
  await leftBehind('two', 'half a l')
  const send = stores()
  const { content, draft, saving } = writing(send)

  saving.opened(STORED)
  expect([content.value.text, draft.value]).toEqual(['two', 'half a l'])
  await settled(600)

  expect(send.mock.calls[0]).toEqual([{ text: 'two' }, 'n1', 4])
  expect(keptOf<Note>('note', 'n1')?.draft).toBe('half a l')
})

test('what was not stored and was changed elsewhere meanwhile is asked about', async () => {
  await leftBehind('two')
  const send = stores()
  const { content, saving } = writing(send)

  saving.opened({ ...STORED, version: 6, text: 'theirs' })
  await settled(5000)

  expect([saving.state.value, content.value.text]).toEqual(['conflict', 'two'])
  expect(send).not.toHaveBeenCalled()
})

test.each([
  '{',
  'null',
  '{"format":1,"content":{"text":"old"},"version":1,"draft":""}',
  '{"format":2}',
])('what cannot be read of what was kept (%s) is left alone', (text) => {
  localStorage.setItem('uchuu.unsaved.note.n1', text)
  const { content, saving } = writing(stores())
  saving.opened(STORED)
  expect([content.value.text, saving.state.value]).toEqual(['one', 'saved'])
})

test('leaving the place stores what was not stored yet', async () => {
  const send = stores()
  const { content, saving, leave } = writing(send)
  saving.opened(STORED)
  content.value = { text: 'two' }
  await settled(10)
  leave()
  await settled(10)
  expect(send.mock.calls.map(([note]) => note.text)).toEqual(['two'])
})

/** A sending whose answer comes when the test says so. */
function slow() {
  const send = stores()
  let answer: (stored: Stored) => void = () => undefined
  let refuse: (reason: Refusal) => void = () => undefined
  send.mockImplementationOnce(
    () =>
      new Promise((resolve, reject) => {
        answer = resolve
        refuse = reject
      }),
  )
  return { send, answer: (one: Stored) => answer(one), refuse: (reason: Refusal) => refuse(reason) }
}

const OTHER: Stored = { id: 'n2', version: 9, text: 'another' }

async function leftWhileStoring() {
  const { send, ...ends } = slow()
  const found = writing(send)
  found.saving.opened(STORED)
  found.content.value = { text: 'two' }
  await settled(600)
  found.saving.opened(OTHER)
  await settled(10)
  return { ...found, ...ends, send }
}

test('an answer about what was left says nothing of what is open now', async () => {
  const { answer, saving, content } = await leftWhileStoring()
  answer({ ...STORED, text: 'two', version: 5 })
  await settled(1000)
  expect([saving.id.value, saving.version.value, content.value.text]).toEqual(['n2', 9, 'another'])
  expect(keptOf('note', 'n1')).toBeNull()
})

test.each([stale(), away])('a refusal of what was left neither (%s)', async (reason) => {
  const { refuse, saving, send } = await leftWhileStoring()
  refuse(reason)
  await settled(10_000)
  expect([saving.state.value, saving.theirs.value]).toEqual(['saved', null])
  expect(send).toHaveBeenCalledTimes(1)
  expect(keptOf<Note>('note', 'n1')?.content.text).toBe('two')
})

test('what was about to be stored is not stored in the place of another one', async () => {
  const send = stores()
  const { content, saving } = writing(send)
  saving.opened(STORED)
  content.value = { text: 'two' }
  await settled(10)
  saving.opened(OTHER)
  await settled(2000)
  expect(send).not.toHaveBeenCalled()
  expect(keptOf<Note>('note', 'n1')?.content.text).toBe('two')
})
