import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import { blank, type Content } from '@/example/content'
import { entered, fakeServer, judged, settled, type Asked } from '@/shared/testing/server'
import { useJudging } from './useJudging'

type Opened = Schemas['Opened']

const INSPECTED = {
  kind: 'linear equation',
  reads: {
    text: '2x = 6',
    latex: '2x=6',
    sides: { left: '2x', sign: '=', right: '6' },
    spoken: '',
  },
  unknown: 'x',
  notices: [],
  ambiguities: [],
  excluded: [],
  methods: [],
  finished_means: [],
}

function check(asked: Asked): object {
  const lines = asked.body.lines as string[]
  return {
    lines: lines.map((text) => judged(text, text.includes('9') ? 'wrong' : 'ok')),
    first_wrong: null,
    error: null,
    answer: { right: false, finished: false, missing: [], extra: [] },
    checks: [],
  }
}

function answers(asked: Asked): { body: unknown } {
  return { body: asked.path.endsWith('/check') ? check(asked) : INSPECTED }
}

beforeEach(() => void vi.useFakeTimers())
afterEach(() => void vi.unstubAllGlobals())

function bench(lines: string[] = []) {
  const content = ref<Content>({ ...blank(), given: '2x = 6', lines })
  const draft = ref('')
  const ended = ref(false)
  const { value, leave } = entered(() => useJudging(content, draft, ended))
  return { content, draft, ended, judging: value, leave }
}

test('lines are judged when they change, and marks follow', async () => {
  fakeServer(answers)
  const { content, judging } = bench(['x = 9'])
  await settled(50)
  expect(judging.stops.value.map((stop) => stop.mark)).toEqual(['wrong'])

  content.value = { ...content.value, lines: ['x = 9', 'x = 3'] }
  await settled(50)

  expect(judging.stops.value.map((stop) => stop.mark)).toEqual(['wrong', 'parallel'])
})

test('a line that is not judged yet waits, with what was typed', async () => {
  fakeServer(answers)
  const { content, judging } = bench(['x = 3'])
  await settled(50)

  content.value = { ...content.value, lines: ['x = 4'] }

  expect(judging.stops.value[0]).toMatchObject({ mark: 'waiting', text: 'x = 4', sides: null })
})

test('while typing the verdict comes first, its reason after a pause', async () => {
  const calls = fakeServer(answers)
  const { draft, judging } = bench()
  await settled(50)
  calls.length = 0

  draft.value = 'x = 3'
  await settled(30)
  expect(judging.draftStop.value?.mark).toBe('ok')
  expect(calls.map((call) => call.body.explains)).toEqual([false])
  await settled(300)

  expect(calls.map((call) => call.body.explains)).toEqual([false, true])
  expect(calls.map((call) => call.query)).toEqual(['?quick=true', '?quick=false'])
})

test('a long paper that is not explained yet is asked again', async () => {
  let left = 3
  const calls = fakeServer((asked) => {
    if (!asked.path.endsWith('/check')) return { body: INSPECTED }
    left -= 1
    return { body: { ...check(asked), unexplained: left > 0 } }
  })
  bench(['x = 3'])

  await settled(50)
  await settled(1000)

  expect(calls.filter((call) => call.path.endsWith('/check'))).toHaveLength(3)
})

test('what was explained is not asked for again, and stays while the next line is typed', async () => {
  const calls = fakeServer((asked) => {
    if (!asked.path.endsWith('/check')) return { body: INSPECTED }
    const body = check(asked) as Schemas['Checked']
    const known = asked.body.explains ? ((asked.body.explained as number) ?? 0) : Infinity
    body.lines.forEach(
      (line, place) => place >= known && Object.assign(line, { says: `why ${place}` }),
    )
    return { body }
  })
  const asked = () => calls.filter((call) => call.path.endsWith('/check')).map((call) => call.body)
  const { content, draft, judging } = bench(['x = 3'])
  const says = () => judging.checked.value?.lines.map((line) => line.says)
  await settled(50)
  calls.length = 0
  draft.value = 'x = 4'
  await settled(50)
  expect(says()).toEqual(['why 0', undefined])
  await settled(500)
  expect(says()).toEqual(['why 0', 'why 1'])
  expect(asked().map(({ explains, explained }) => [explains, explained])).toEqual([
    [false, 1],
    [true, 1],
  ])

  content.value = { ...content.value, lines: ['x = 3', 'x = 4'] }
  draft.value = '' // written: nothing is new
  await settled(500)
  expect(asked()).toHaveLength(2)
  expect(says()).toEqual(['why 0', 'why 1'])

  content.value = { ...content.value, lines: ['x = 5', 'x = 4'] }
  await settled(50)
  expect(asked().at(-1)).toMatchObject({ explains: true, explained: 0 })
})

test('a line above that is judged otherwise now is explained anew', async () => {
  let verdict = 'ok'
  const calls = fakeServer((asked) => {
    if (!asked.path.endsWith('/check')) return { body: INSPECTED }
    const body = check(asked) as Schemas['Checked']
    Object.assign(body.lines[0] ?? {}, { verdict })
    return { body }
  })
  const { draft, judging } = bench(['x = 3'])
  await settled(50)
  verdict = 'wrong' // a letter further down may change what the first lines mean
  draft.value = 'a = 4'
  await settled(500)

  expect(judging.stops.value[0]?.mark).toBe('wrong')
  expect(calls.at(-1)?.body).toMatchObject({ explains: true, explained: 0 })
})

test('where the server is busy the verdicts come all the same, and why is asked for in a while', async () => {
  let isBusy = true
  const calls = fakeServer((asked) => {
    if (!asked.path.endsWith('/check')) return { body: INSPECTED }
    if (!isBusy || !asked.body.explains) return { body: check(asked) }
    return { status: 429, body: { code: 'busy', message: 'Much is being worked out.', at: null } }
  })
  const { judging } = bench(['x = 3'])
  await settled(50)
  expect(judging.stops.value[0]?.mark).toBe('ok')
  await settled(10_000) // asked again and again, and refused
  expect(judging.failure.value).toBeNull()
  expect(judging.stops.value[0]?.mark).toBe('ok')
  isBusy = false
  await settled(10_000)
  const asked = calls.filter((call) => call.path.endsWith('/check')).map((call) => call.body)
  expect(asked[0]?.explains).toBe(false)
  expect(asked.slice(1).every((body) => body.explains)).toBe(true)
  const count = asked.length
  await settled(10_000)
  expect(calls.filter((call) => call.path.endsWith('/check'))).toHaveLength(count)
})

test('the first key asks at once, those that follow before its answer ask together', async () => {
  const calls = fakeServer((async (asked: Asked) => {
    await new Promise((done) => setTimeout(done, 100))
    return answers(asked)
  }) as unknown as typeof answers)
  const { draft } = bench()
  await settled(500)
  calls.length = 0
  const asked = () => calls.filter((call) => call.path.endsWith('/check'))

  draft.value = '2'
  await settled(2)
  expect(asked()).toHaveLength(1)
  for (const text of ['x', 'x ', 'x =', 'x = 3']) {
    draft.value = text
    await settled(5)
  }
  await settled(20)

  expect(asked()).toHaveLength(2)
  expect(asked()[1]?.body.lines).toEqual(['x = 3'])
})

test('the problem is inspected once, not with every line', async () => {
  const calls = fakeServer(answers)
  const { content } = bench()
  await settled(50)

  content.value = { ...content.value, lines: ['x = 3'] }
  await settled(50)

  expect(calls.filter((call) => call.path.endsWith('/inspect'))).toHaveLength(1)
})

test('an unreadable problem is told, and forgotten when it is mended', async () => {
  const failure = { code: 'unreadable', message: 'Too early.', at: 4 }
  fakeServer((asked) =>
    asked.body.given === '2x =' ? { status: 422, body: failure } : answers(asked),
  )
  const { content, judging } = bench()
  content.value = { ...content.value, given: '2x =' }
  await settled(50)
  expect(judging.givenFailure.value).toMatchObject({ at: 4, message: 'Too early.' })
  expect(judging.given.value).toMatchObject({ text: '2x =', sides: null })

  content.value = { ...content.value, given: '2x = 6' }
  await settled(50)

  expect(judging.givenFailure.value).toBeNull()
  expect(judging.given.value?.mark).toBe('given')
})

test('a server that does not answer is told and the lines stay', async () => {
  fakeServer(() => Promise.reject(new TypeError('no network')))
  const { judging } = bench(['x = 3'])

  await settled(50)

  expect(judging.failure.value?.code).toBe('network')
  expect(judging.stops.value[0]).toMatchObject({ text: 'x = 3', mark: 'waiting' })
})

test('what is tried again is said to have failed no more until it has', async () => {
  fakeServer(() => Promise.reject(new TypeError('no network')))
  const { judging } = bench(['x = 3'])
  await settled(50)

  judging.again()
  expect(judging.failure.value).toBeNull()

  await settled(50)
  expect(judging.failure.value?.code).toBe('network')
})

test('nothing is asked after the place is left', async () => {
  const calls = fakeServer(answers)
  const { draft, leave } = bench()
  await settled(50)
  calls.length = 0

  draft.value = 'x = 3'
  leave()
  await settled(500)

  expect(calls).toEqual([])
})

test('what an example was opened with is shown and not asked for; what is typed under it is', async () => {
  const calls = fakeServer(answers)
  const content = ref<Content>(blank())
  const draft = ref('')
  const { value: judging, leave } = entered(() => useJudging(content, draft, ref(false)))
  await settled(50)
  const opened = { ...blank(), given: '2x = 6', lines: ['x = 9'] }
  const checked = check({ method: 'POST', path: '', body: opened })

  judging.took({ example: opened, checked, inspected: INSPECTED } as unknown as Opened)
  content.value = { ...opened }
  await settled(500)
  expect(judging.stops.value.map((stop) => stop.mark)).toEqual(['wrong'])
  expect(judging.given.value?.sides?.left).toBe('2x')
  expect(calls).toHaveLength(0)

  content.value.lines.push('x = 3')
  await settled(50)
  expect(judging.stops.value.map((stop) => stop.mark)).toEqual(['wrong', 'parallel'])
  const asked = calls.filter((call) => call.path.endsWith('/check')).map((call) => call.body)
  expect(asked.map(({ explained }) => explained)).toEqual([1, 1]) // the first line came with its reason
  leave()
})

test('an example that came without a judgement is judged as ever', async () => {
  const calls = fakeServer(answers)
  const { content, judging } = bench(['x = 3'])
  judging.took({
    example: content.value,
    checked: null,
    inspected: null,
  } as unknown as Opened)
  await settled(50)
  expect(calls.map((call) => call.path.split('/').at(-1))).toEqual(['check', 'inspect', 'check'])
})

test('a last line is held against what is asked only when one says that one is done', async () => {
  const calls = fakeServer(answers)
  const { ended } = bench(['x = 6/2'])
  await settled(500)
  const asked = () => calls.filter((call) => call.path.endsWith('/check')).at(-1)?.body['goes_on']
  expect(asked()).toBe(true)

  ended.value = true
  await settled(50)
  expect(asked()).toBe(false)
})
