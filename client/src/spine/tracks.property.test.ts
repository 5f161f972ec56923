import { expect, test } from 'vitest'
import { divisions } from './tracks'
import type { StopLine } from './types'

/** Numbers that look random and are the same in every run. */
function* drawn(seed: number): Generator<number> {
  let state = seed
  for (;;) {
    state = (state * 1103515245 + 12345) % 2147483648
    yield state / 2147483648
  }
}

/** A paper of lines with one to four relations, some beside the spine, some not read. */
function paper(random: Generator<number>): StopLine[] {
  const next = (below: number) => Math.floor((random.next().value as number) * below)
  return Array.from({ length: 1 + next(7) }, (_, index) => {
    const tracks = Array.from({ length: 1 + next(4) }, () => ({
      left: 'x',
      sign: '=',
      right: `${next(4)}`,
    }))
    const [first = { left: '', sign: '', right: '' }] = tracks
    return {
      number: index + 1,
      text: '',
      mark: 'ok',
      sides: next(9) ? (tracks.length > 1 ? { ...first, tracks } : first) : null,
      spoken: '',
      words: '',
      beside: !next(6),
    } as StopLine
  })
}

test('every paper is drawn so that no track hangs in the air and none is cut off', () => {
  const random = drawn(7)
  for (let round = 0; round < 800; round += 1) {
    const lines = paper(random)
    const found = divisions(lines)
    expect(found).toHaveLength(lines.length)
    found.forEach((division, index) => {
      const line = lines[index]
      if (line?.beside || !line?.sides?.tracks) expect(division).toBeNull()
      if (!division) return
      const below = found[index + 1]
      const isOn = division.tracks.map((track) => track.below === 'on')
      // all tracks go on together, and then the next line takes up as many, and says so
      expect(new Set(isOn).size).toBe(1)
      expect(isOn[0]).toBe(!!below?.goesOn)
      if (isOn[0]) expect(below?.tracks).toHaveLength(division.tracks.length)
      // a line that takes tracks up stands right under the line that hands them on
      if (division.goesOn) {
        expect(found[index - 1]?.tracks.every((track) => track.below === 'on')).toBe(true)
      }
      // one track ends only where another one is kept
      const ends = division.tracks.filter((track) => track.below === 'ends')
      if (ends.length) expect(division.tracks.some((track) => track.below === 'joins')).toBe(true)
      // the last ones are last, and only they
      const later = lines.slice(index + 1).some((one) => !one.beside && one.sides)
      const isLast = division.tracks.every((track) => track.below === 'last')
      expect(isLast).toBe(!later && !isOn[0])
    })
  }
})
