import { mount } from '@vue/test-utils'
import { expect, test } from 'vitest'
import SpineLine from './SpineLine.vue'
import { divisions, written } from './tracks'
import type { StopLine } from './types'

const track = (text: string) => {
  const [left = '', right = ''] = text.split('=')
  return { left, sign: '=', right }
}

/** A line of the paper: "a=b", or several of them joined by "or". */
function line(text: string, number: number, more: Partial<StopLine> = {}): StopLine {
  const tracks = text.split(' or ').map(track)
  const [first = track('')] = tracks
  const sides = tracks.length > 1 ? { ...first, tracks } : first
  return { number, text, mark: 'ok', sides, spoken: text, words: '', ...more }
}

const below = (texts: string[]) =>
  divisions(texts.map((text, index) => line(text, index + 1))).map(
    (one) => one && [one.goesOn, ...one.tracks.map((each) => each.below)],
  )

test('tracks begin at the spine, go on below each other, and the last ones stay open', () => {
  expect(below(['(x-2)(x-3)=0', 'x-2=0 or x-3=0', 'x=2 or x=3'])).toEqual([
    null,
    [false, 'on', 'on'],
    [true, 'last', 'last'],
  ])
})

test('a track that the next line leaves out ends; the others join the spine again', () => {
  expect(below(['x=3 or x=-2', 'x=3'])).toEqual([[false, 'joins', 'ends'], null])
  expect(below(['x=1 or x=2 or x=3', 'x=1 or x=3'])[0]).toEqual([false, 'joins', 'ends', 'joins'])
  expect(below(['x=3 or x=-2', '3=x'])).toEqual([[false, 'joins', 'joins'], null])
})

test('what does not fit beside each other, or stands beside the spine, does not divide it', () => {
  const wide = `x=${'1+'.repeat(30)}1`
  expect(below([`${wide} or x=2`])).toEqual([null])
  expect(below(['x=1 or x=2 or x=3 or x=4 or x=5'])).toEqual([null])
  expect(divisions([line('x=1 or x=2', 1, { beside: true })])).toEqual([null])
})

test('words on the line, what is done to both sides, and the given keep the line whole', () => {
  for (const more of [
    { remark: 'x = -2 fails' },
    { operation: '÷ 2' },
    { mark: 'given' as const },
  ]) {
    expect(divisions([line('x=3 or x=-2', 1, more)])).toEqual([null])
  }
  const stop = line('x=3 or x=-2', 1, { remark: 'which one?' })
  const [division = null] = divisions([stop])
  expect(mount(SpineLine, { props: { line: stop, division } }).text()).toContain('which one?')
})

test('what is new on the line may be lit on its track', () => {
  const [division = null] = divisions([line('x=3 or x=-2', 1)])
  const lit = { ...track('x=3'), tracks: [track('x=[3]'), track('x=-2')] }
  expect(written(division, lit)?.tracks.map((one) => one.right)).toEqual(['[3]', '-2'])
  expect(written(division, track('x=3'))).toBe(division)
})

test('each track has its own stop; a reader hears the line once', () => {
  const stop = line('x=3 or x=-2', 1, { spoken: 'x equals 3 or x equals minus 2' })
  const [division = null] = divisions([stop])
  const shown = mount(SpineLine, { props: { line: stop, division } })
  expect(shown.findAll('svg.stop')).toHaveLength(2)
  expect(shown.text().match(/equals 3 or/g)).toHaveLength(1)
  expect(shown.find('.middle').text()).toBe('or')
})

test('a feature has a tag for a stop, and no sign before it', () => {
  const sides = { left: '', sign: '', right: '\\text{hole: }' }
  const shown = mount(SpineLine, { props: { line: line('hole', 1, { sides }) } })
  expect(shown.find('svg.stop path.full').exists()).toBe(true)
  expect(shown.find('svg.stop text').text()).toBe('')
})

test('the check in the original ends the tracks of candidates that fail; the others stay', () => {
  const two = line('x=3 or x=-2', 1)
  const below = (failing: string[]) =>
    divisions([two], failing)[0]?.tracks.map((track) => track.below)
  expect(below([])).toEqual(['last', 'last'])
  expect(below(['x = -2'])).toEqual(['last', 'ends'])
})
