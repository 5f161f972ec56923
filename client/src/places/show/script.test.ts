import { describe, expect, it } from 'vitest'
import type { Schemas } from '@/api/client'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'
import { onBoard, SCRIPTS, stepsOf, type Story } from './script'

const stop = (number: number, text: string, more: Partial<StopLine> = {}): StopLine => ({
  number,
  text,
  mark: 'ok',
  sides: { left: 'x', sign: '=', right: text },
  spoken: text,
  words: `why ${text}`,
  ...more,
})
const lines = [stop(1, '2x = 8'), stop(2, 'x = 4')]
const checks = [stop(0, 'x = 4', { mark: 'check' })]
const fork = {
  after: 1,
  error: 'e',
  name: 'Doubles',
  because: 'Because.',
  wrong: 'x = 16',
  wrong_latex: 'x=16',
} as Schemas['Fork']
const story: Story = {
  fork,
  path: [{ text: 'x = 17', sides: { left: 'x', sign: '=', right: '17' } } as Schemas['LawLine']],
}
const beats = (script: (typeof SCRIPTS)[number], told: Story | null = story) =>
  stepsOf(script, lines, checks, [], told).map(({ beat }) => beat)

describe('three ways to tell an example', () => {
  it('line by line: the lines, then the check', () => {
    expect(beats('lines')).toEqual(['line', 'line', 'check'])
  })

  it('the answer first: it stands beside, and comes again at its place', () => {
    const steps = stepsOf('answer', lines, checks, [], null)
    expect(steps.map(({ beat }) => beat)).toEqual(['answer', 'line', 'line', 'check'])
    expect(steps[0]?.stop).toMatchObject({ beside: true, words: words.show.answerFirst })
    expect(stepsOf('answer', lines.slice(0, 1), [], [], null)).toHaveLength(1)
  })

  it('the wrong story first: right lines up to where it leaves, its whole route, a vote, the strike', () => {
    expect(beats('wrong')).toEqual(['line', 'wrong', 'wrong', 'vote', 'strike', 'line', 'check'])
    expect(beats('wrong', null)).toEqual(beats('lines'))
    const atTheEnd = { ...story, fork: { ...fork, after: 2 } }
    expect(beats('wrong', atTheEnd).slice(0, 3)).toEqual(['line', 'line', 'wrong'])
  })

  it('gives no mark away before it is struck, and makes room for the right way after', () => {
    const steps = stepsOf('wrong', lines, checks, [], story)
    for (let shown = 0; shown <= 4; shown += 1) {
      const board = onBoard(steps, shown, story)
      expect(board.every(({ mark }) => mark === 'ok')).toBe(true)
      const told = board.filter(({ text }) => ['x = 16', 'x = 17'].includes(text))
      expect(told.every((one) => !one.words && !one.pieces?.length)).toBe(true)
    }
    const struck = onBoard(steps, 5, story)
    expect(struck.map(({ mark }) => mark)).toEqual(['ok', 'wrong', 'parallel'])
    expect(struck[1]?.words).toContain('Doubles')
    expect(onBoard(steps, 6, story).map(({ text }) => text)).toEqual(['2x = 8', 'x = 4'])
  })

  it('shows every own line and every check once, in order, whatever the script', () => {
    for (const script of SCRIPTS) {
      const steps = stepsOf(script, lines, checks, [], story)
      const end = onBoard(steps, steps.length, story).filter(({ words: says }) =>
        says.startsWith('why'),
      )
      expect(end.map(({ text }) => text)).toEqual(['2x = 8', 'x = 4', 'x = 4'])
    }
  })
})
