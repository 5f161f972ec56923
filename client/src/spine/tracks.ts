/** Where the spine divides: a line with "or" runs on several tracks, which go on, join again or end. */
import type { components } from '@/api/schema'
import type { StopLine } from './types'

type Track = components['schemas']['Track']

export interface ShownTrack extends Track {
  /** Goes on below, joins the spine again, ends because the next line leaves it out, or is the last. */
  below: 'on' | 'joins' | 'ends' | 'last'
}

export interface Division {
  tracks: ShownTrack[]
  /** Whether the tracks come from those of the line above. */
  goesOn: boolean
}

/** More, or wider ones, do not fit beside each other: signs of LaTeX on a side, by the number of tracks. */
const WIDEST = [0, 0, 44, 14, 14]

const same = (one: Track, other: Track) =>
  one.left === other.left && one.sign === other.sign && one.right === other.right

/** Whether a track states a value that is given in LaTeX. */
function isValue({ left, sign, right }: Track, latex: string): boolean {
  const spaceless = (one: string) => one.replace(/\s/g, '')
  return spaceless(`${left}${sign}${right}`) === spaceless(latex)
}

/** Whether a line, or one of its tracks, states a value that is given in LaTeX. */
export function states(line: StopLine, latex: string): boolean {
  const tracks = line.sides?.tracks ?? (line.sides ? [line.sides] : [])
  return tracks.some((track) => isValue(track, latex))
}

/** The candidates that do not check in the original, in LaTeX. */
export function failingOf(checks: readonly components['schemas']['CandidateCheck'][]): string[] {
  return checks.filter((check) => !check.holds).map((check) => check.value_latex)
}

const isCheck = ({ mark }: StopLine) => mark === 'check' || mark === 'fails'

/** Whether a line is no relation but states a feature: its stop is a tag, without a sign. */
export function isTag(sides: StopLine['sides']): boolean {
  return !!sides?.right && !sides.sign
}

/** The tracks on which a line runs; none where the spine does not divide. Words need the line whole. */
function tracksOf(line: StopLine | undefined): Track[] {
  const isWhole = !line || line.beside || line.remark || line.operation || line.mark === 'given'
  const tracks = isWhole ? [] : (line.sides?.tracks ?? [])
  const widest = Math.max(...tracks.flatMap(({ left, right }) => [left.length, right.length]))
  return widest <= (WIDEST[tracks.length] ?? 0) ? tracks : []
}

/**
 * Return for each line how its spine divides; null where it does not.
 * @param failing candidates that do not check in the original, in LaTeX: the last tracks that state them end
 */
export function divisions(
  lines: readonly StopLine[],
  failing: readonly string[] = [],
): (Division | null)[] {
  const lastOf = (track: Track) =>
    failing.some((value) => isValue(track, value)) ? 'ends' : 'last'
  return lines.map((line, index) => {
    const tracks = tracksOf(line)
    if (tracks.length < 2) return null
    const above = lines[index - 1]
    const below = lines[index + 1]
    const goesOn = !!above && tracksOf(above).length === tracks.length
    const isOn = tracksOf(below).length === tracks.length
    const next = lines.slice(index + 1).find((one) => !one.beside && one.sides && !isCheck(one))
    const kept = next?.sides ? (next.sides.tracks ?? [next.sides]) : []
    const isLeftOut = (track: Track) =>
      kept.some((one) => tracks.some((other) => same(one, other))) &&
      !kept.some((one) => same(one, track))
    return {
      goesOn,
      tracks: tracks.map((track) => ({
        ...track,
        below: isOn ? 'on' : !next ? lastOf(track) : isLeftOut(track) ? 'ends' : 'joins',
      })),
    }
  })
}

/** The same division, its tracks as `sides` writes them: what is new may be lit there. */
export function written(
  division: Division | null,
  sides: StopLine['sides'] | undefined,
): Division | null {
  const tracks = sides?.tracks
  if (!division || tracks?.length !== division.tracks.length) return division
  return { ...division, tracks: division.tracks.map((one, at) => ({ ...one, ...tracks[at] })) }
}
