/** The board of Show: each step with its stop, as far as it is revealed, and what is asked there. */
import { computed, type Ref } from 'vue'
import { writtenStops } from '@/example/stops'
import { dividedAs, withMarks } from '@/example/useMarks'
import { readable } from '@/shared/logic/readable'
import { inGroups } from '@/spine/hand/strokes'
import { roomFor, sharesOf } from '@/spine/shares'
import { divisions, failingOf } from '@/spine/tracks'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'
import { checkStops } from './checks'
import type { Reveal } from './reveal'
import { onBoard, stepsOf, type Script } from './script'
import type { ShownExample } from './useExample'

/** The longest line whose mathematics has its full size: signs of it as it is read. */
const FULL_SIZE = 34
/** The given is so much larger than a line. */
const GIVEN_IS = 1.15

/** What a teacher has switched on. */
export interface Switches {
  /** Whether what is new on the last line is lit. */
  lights: Ref<boolean>
  /** Whether the reasons are shown. */
  says: Ref<boolean>
  /** Whether the marks of a hand are drawn. */
  marks: Ref<boolean>
  /** In which order it is told. */
  script: Ref<Script>
}

/**
 * @param shown the example that is shown
 * @param now how far it is revealed
 * @param on what is switched on
 */
export function useBoard(shown: ShownExample, now: Ref<Reveal>, on: Switches) {
  const { example, told, checked, forks, drawn, sideWorks, story } = shown
  const checks = computed(() => checked.value?.checks ?? [])
  const failing = computed(() => failingOf(checks.value))
  const steps = computed(() => {
    const lines = checked.value ? writtenStops(checked.value.lines, example.value?.reasons) : []
    const held = lines.length ? checkStops(checks.value) : []
    return stepsOf(on.script.value, lines, held, failing.value, story.value)
  })
  const given = computed<StopLine | null>(() => {
    const first = told.value[0]
    if (!first || !checked.value) return null
    const { text, sides = null, spoken = text } = first
    return { number: 0, text, mark: 'given', sides, spoken, words: '' }
  })
  const done = computed(() => steps.value.slice(0, now.value.shown))
  const newest = computed(() => done.value.at(-1) ?? null)
  /** How many of the example's own lines stand there. */
  const lines = computed(() => done.value.filter(({ line }) => line).length)
  const plain = computed(() => {
    if (!given.value) return []
    const quiet = (stop: StopLine) =>
      says(stop) ? stop : { ...stop, words: '', pieces: stop.beside ? stop.pieces : [] }
    return [given.value, ...onBoard(steps.value, now.value.shown, story.value).map(quiet)]
  })
  const says = (stop: StopLine) => on.says.value || stop.mark === 'check' || stop.mark === 'fails'

  /** What the hand draws for the coming line, in the order in which it does. */
  const groups = computed(() =>
    isStory.value ? [] : inGroups(drawn.value[lines.value + 1]?.marks ?? []),
  )
  const isStory = computed(() => ['wrong', 'vote'].includes(newest.value?.beat ?? ''))
  const marks = computed(() => {
    if (!on.marks.value) return []
    const before = drawn.value[lines.value]?.marks ?? []
    return [...before, ...groups.value.slice(0, now.value.drawn).flat()]
  })
  const stops = computed(() =>
    plain.value.map((stop, index, all) => {
      const isOwn = index === 0 || isOwnLine(stop)
      const marked = isOwn ? withMarks(stop, drawn.value[stop.number], marks.value) : stop
      const line = newest.value?.line
      if (marked.drawn || !on.lights.value || !line || index < all.length - 1) return marked
      return { ...stop, sides: told.value[line]?.lit ?? stop.sides }
    }),
  )
  /** Whether a stop is a line of the example, not one of the wrong story or a check. */
  function isOwnLine(stop: StopLine): boolean {
    return done.value.some(({ line, stop: one }) => line === stop.number && one?.text === stop.text)
  }
  /** Tracks are struck by the checks that stand there. */
  const divided = computed(() => {
    const struck = plain.value.filter(({ mark }) => mark === 'fails').map(({ text }) => text)
    const values = checks.value.filter(({ value }) => struck.includes(value))
    return divisions(plain.value, failingOf(values)).map((division, index) => {
      const stop = stops.value[index]
      return stop ? dividedAs(division, stop) : division
    })
  })
  const question = computed(() => {
    const next = steps.value[now.value.shown]
    return (next?.line && told.value[next.line]?.ask) || words.show[next?.line ? 'ask' : 'askCheck']
  })
  /** What the class votes on, while it does. */
  const vote = computed(() => (newest.value?.beat === 'vote' ? words.show.vote : ''))
  /** How large the board's mathematics is: as the height has room, smaller where a line is long. */
  const fit = computed(() => {
    const own = plain.value.filter(({ beside }) => !beside).map(({ text }) => text)
    const longest = Math.max(1, ...plain.value.map((stop) => readable(stop.text).length))
    const room = Math.max(longest, roomFor(own), GIVEN_IS * roomFor(own.slice(0, 1)))
    return Math.min(1, Math.max(0.5, FULL_SIZE / room))
  })
  /** Every line that will stand there shares the width: nothing moves when it comes. */
  const shares = computed(() =>
    sharesOf([given.value?.text ?? '', ...steps.value.flatMap((step) => step.stop?.text ?? [])]),
  )
  const here = computed(() => forks.value.filter((item) => item.after === lines.value))
  const open = computed(() => (now.value.fork ? (here.value[now.value.fork.index] ?? null) : null))
  /** The fork whose story is being struck. */
  const struck = computed(() =>
    newest.value?.beat === 'strike' ? (story.value?.fork ?? null) : null,
  )
  /** Side work at the coming line, then at the last one. */
  const pieces = computed(() =>
    [lines.value + 1, lines.value].flatMap((line) =>
      sideWorks.value.filter((one) => one.line === line),
    ),
  )
  const work = computed(() => pieces.value[now.value.beside ?? -1] ?? null)
  const count = computed(() => steps.value.length)

  return {
    shares,
    stops,
    divided,
    question,
    vote,
    fit,
    here,
    open,
    struck,
    pieces,
    work,
    groups,
    count,
  }
}

export type Board = ReturnType<typeof useBoard>
