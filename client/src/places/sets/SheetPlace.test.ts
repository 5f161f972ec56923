import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer, judged, type Asked } from '@/shared/testing/server'
import { words } from '@/texts/en'
import SheetPlace from './SheetPlace.vue'

afterEach(() => void vi.unstubAllGlobals())

const reads = {
  text: '2x=4',
  latex: '2x=4',
  sides: { left: '2x', sign: '=', right: '4' },
  spoken: '',
}
const item = (given: string, lines: string[]) => ({
  example: { id: given, title: given, task: 'solve', given, lines, form: [] },
  marks: 2,
  minutes: null,
})

/** The first problem has right lines of its own, the second wrong ones, the third cannot be worked. */
function server({ path, body }: Asked) {
  const lines = (body['lines'] as string[] | undefined) ?? []
  if (path.endsWith('/work')) {
    if (body['given'] === 'odd') {
      return { status: 422, body: { code: 'out-of-scope', message: 'Not yet.', at: null } }
    }
    const worked = [{ text: 'worked: x=2', latex: 'x=2' }]
    return {
      body: { reads, lines: worked, answer: 'x = 2', difficulty: { score: 1, reasons: [] } },
    }
  }
  if (path.endsWith('/check')) {
    const isRight = lines.every((line) => !line.includes('wrong'))
    const answer = { right: isRight && lines.length > 0, finished: true, missing: [], extra: [] }
    const verdicts = lines.map((line) => judged(line, isRight ? 'ok' : 'wrong'))
    return { body: { lines: verdicts, first_wrong: isRight ? null : 1, answer, checks: [] } }
  }
  if (path.endsWith('/read')) return { body: { ...reads, latex: '\\text{odd}' } }
  const items = [item('2x=4', ['mine: x=2']), item('3x=6', ['wrong: x=3']), item('odd', [])]
  return { body: { id: 's', title: 'Sheet', instruction: 'Solve.', version: 1, items } }
}

async function sheet(what: 'handout' | 'short' | 'key') {
  const calls = fakeServer(server)
  const place = mount(SheetPlace, {
    props: { id: 's', what },
    global: { stubs: { RouterLink: true } },
  })
  await flushPromises()
  return { place, calls }
}

test('a key holds the lines of the teacher where they are right, else those of a method', async () => {
  const { place, calls } = await sheet('key')
  expect(place.findAll('.spine')).toHaveLength(2)
  expect(place.text()).toContain(words.sets.notWorked)
  const judgedLast = calls
    .filter((call) => call.path.endsWith('/check'))
    .map((c) => c.body['lines'])
  expect(judgedLast).toContainEqual(['mine: x=2'])
  expect(judgedLast).toContainEqual(['worked: x=2'])
  expect(place.html()).not.toContain('wrong: x=3')
})

test('a handout has room for every line and no answer', async () => {
  const { place } = await sheet('handout')
  expect(place.findAll('.room')).toHaveLength(3)
  expect(place.findAll('.room')[0]?.findAll('i')).toHaveLength(2)
  expect(place.findAll('.spine, .answer')).toHaveLength(0)
  expect(place.text()).toContain('Solve.')
  expect(place.text()).toContain(`${words.sets.marks}: 6`)
})

test('a short key has the answers alone', async () => {
  const { place } = await sheet('short')
  expect(place.findAll('.answer')).toHaveLength(2)
  expect(place.findAll('.spine')).toHaveLength(0)
})

test('a server that is away is said; no problem is called unworkable for it', async () => {
  const away = { code: 'time-out', message: 'This was not done after 4 seconds.', at: null }
  fakeServer((asked) =>
    asked.path.endsWith('/work') ? { status: 504, body: away } : server(asked),
  )
  const place = mount(SheetPlace, {
    props: { id: 's', what: 'key' },
    global: { stubs: { RouterLink: true } },
  })
  await flushPromises()
  expect(place.find('[role=alert]').text()).toContain(away.message)
  expect(place.text()).not.toContain(words.sets.notWorked)
})
