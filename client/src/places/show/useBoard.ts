/** The board of Show: each step with its stop, as far as it is revealed, and what is asked there. */
import { computed, type Ref } from 'vue'
import { writtenStops } from '@/example/stops'
import { readable } from '@/shared/logic/readable'
import { divisions, failingOf, written as asWritten } from '@/spine/tracks'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'
import { boardSteps, checkStops } from './checks'
import type { Reveal } from './reveal'
import type { ShownExample } from './useExample'

/** The longest line whose mathematics has its full size: signs of it as it is read. */
const FULL_SIZE = 34

/**
 * @param shown the example that is shown
 * @param now how far it is revealed
 * @param lights whether what is new on the last line is lit
 * @param says whether the reasons are shown
 */
export function useBoard(
  { example, told, checked, forks }: ShownExample,
  now: Ref<Reveal>,
  lights: Ref<boolean>,
  says: Ref<boolean>,
) {
  const checks = computed(() => checked.value?.checks ?? [])
  const failing = computed(() => failingOf(checks.value))
  const steps = computed(() => {
    const lines = checked.value ? writtenStops(checked.value.lines, example.value?.reasons) : []
    return boardSteps(lines, lines.length ? checkStops(checks.value) : [], failing.value)
  })
  const given = computed<StopLine | null>(() => {
    const first = told.value[0]
    if (!first || !checked.value) return null
    const { text, sides = null, spoken = text } = first
    return { number: 0, text, mark: 'given', sides, spoken, words: '' }
  })
  const revealed = computed(() => steps.value.slice(0, now.value.shown))
  /** How many of the example's own lines stand there. */
  const lines = computed(() => revealed.value.filter(({ line }) => line).length)
  const plain = computed(() => {
    if (!given.value) return []
    return [
      given.value,
      ...revealed.value.map(({ stop, line }) => ({
        ...stop,
        words: says.value ? stop.words : '',
        pieces: says.value || !line ? stop.pieces : [],
      })),
    ]
  })
  const stops = computed(() =>
    plain.value.map((stop, index, all) => {
      const line = steps.value[index - 1]?.line
      return lights.value && line && index === all.length - 1
        ? { ...stop, sides: told.value[line]?.lit ?? stop.sides }
        : stop
    }),
  )
  /** Tracks are struck by the checks that stand there. */
  const divided = computed(() => {
    const struck = plain.value.filter(({ mark }) => mark === 'fails').map(({ text }) => text)
    const values = checks.value.filter(({ value }) => struck.includes(value))
    return divisions(plain.value, failingOf(values)).map((division, index) =>
      asWritten(division, stops.value[index]?.sides),
    )
  })
  const question = computed(() => {
    const next = steps.value[now.value.shown]
    return (next?.line && told.value[next.line]?.ask) || words.show[next?.line ? 'ask' : 'askCheck']
  })
  /** How large the board's mathematics is: as the height has room, smaller where a line is long. */
  const fit = computed(() => {
    const longest = Math.max(1, ...plain.value.map((stop) => readable(stop.text).length))
    return Math.min(1, Math.max(0.5, FULL_SIZE / longest))
  })
  const here = computed(() => forks.value.filter((item) => item.after === lines.value))
  const open = computed(() => (now.value.fork ? (here.value[now.value.fork.index] ?? null) : null))
  const count = computed(() => steps.value.length)

  return { stops, divided, question, fit, here, open, count }
}
