import { expect, test } from 'vitest'
import { drawing, inGroups, type Box, type DrawnMark } from './strokes'

const KINDS = [
  'strike',
  'beneath',
  'box',
  'ring',
  'bracket',
  'arrow',
  'join',
  'swap',
  'times',
] as const

/** Numbers that look random and are the same in every run. */
function* random(seed: number): Generator<number> {
  let state = seed
  for (;;) {
    state = (state * 1103515245 + 12345) % 2147483648
    yield state / 2147483648
  }
}

const two = { text: '2', latex: '2', spoken: 'two' }

/** A line of up to nine marks on four parts, one of which is not shown. */
function line(numbers: Generator<number>): { marks: DrawnMark[]; boxes: Map<string, Box> } {
  const next = (below: number) => Math.floor((numbers.next().value as number) * below)
  const boxes = new Map(
    [0, 1, 2].map((n) => [
      `m-0-${n}`,
      { x: next(300), y: 40 + next(60), width: 4 + next(90), height: 10 + next(40) },
    ]),
  )
  const marks = Array.from({ length: next(10) }, (): DrawnMark => {
    const kind = KINDS[next(KINDS.length)] ?? 'ring'
    return {
      kind,
      on: 0,
      part: `m-0-${next(4)}`,
      ...(kind === 'arrow' ? { to: `m-0-${next(4)}` } : {}),
      pair: next(5),
      sign: next(2) ? '+' : '',
      signed: !next(2),
      text: next(2) ? two : null,
    }
  })
  return { marks, boxes }
}

test('marks lie on their parts at every size, and twice as large at twice the size', () => {
  const numbers = random(11)
  for (let round = 0; round < 500; round += 1) {
    const { marks, boxes } = line(numbers)
    const at = (factor: number) =>
      drawing(
        marks,
        (part) => {
          const box = boxes.get(part)
          if (!box) return []
          const { x, y, width, height } = box
          return [{ x: x * factor, y: y * factor, width: width * factor, height: height * factor }]
        },
        20 * factor,
      )
    const [once, twice] = [at(1), at(2)]
    expect(twice.strokes).toHaveLength(once.strokes.length)
    once.strokes.forEach(({ path }, index) => {
      const [small, large] = [path, twice.strokes[index]?.path ?? ''].map(numbersOf)
      expect(large?.length).toBe(small?.length)
      small?.forEach((value, place) => {
        const scaled = large?.[place] ?? NaN
        // the flags of an arc are no lengths
        if (![0, 1].includes(value)) expect(scaled).toBeCloseTo(2 * value, 4)
      })
    })
    once.notes.forEach((note, index) => {
      expect(twice.notes[index]?.x).toBeCloseTo(2 * note.x, 4)
      expect(twice.notes[index]?.y).toBeCloseTo(2 * note.y, 4)
    })
    expect(once.strokes.every(({ path }) => !path.includes('NaN'))).toBe(true)
  }
})

const numbersOf = (path: string) => (path.match(/-?\d+(\.\d+)?(e-?\d+)?/g) ?? []).map(Number)

test('a part that is not shown bears no mark, and what is left is drawn all the same', () => {
  const box = { x: 10, y: 10, width: 20, height: 20 }
  const mark = { on: 0, pair: 1, sign: '', signed: false, text: null } as const
  const found = drawing(
    [
      { ...mark, kind: 'ring', part: 'm-0-9' },
      { ...mark, kind: 'arrow', part: 'm-0-1', to: 'm-0-9' },
      { ...mark, kind: 'ring', part: 'm-0-1' },
    ],
    (part) => (part === 'm-0-1' ? [box] : []),
    20,
  )
  expect(found.strokes).toHaveLength(1)
})

test('what stands on two tracks is marked on both', () => {
  const boxes = [10, 80].map((x) => ({ x, y: 10, width: 20, height: 20 }))
  const mark: DrawnMark = {
    ...{ kind: 'beneath', on: 0, part: 'm-0-1', pair: 0, sign: '', signed: false, text: two },
  }
  expect(drawing([mark], () => boxes, 20).notes.map(({ x }) => x)).toEqual([20, 90])
})

test('each mark is in one group, in order; pairs and both sides are drawn in one go', () => {
  const numbers = random(5)
  for (let round = 0; round < 300; round += 1) {
    const { marks } = line(numbers)
    const groups = inGroups(marks)
    expect(groups.flat()).toEqual(marks)
    expect(groups.every((group) => new Set(group.map(({ kind }) => kind)).size === 1)).toBe(true)
  }
  const mark = { on: 0, part: 'm-0-0', sign: '', signed: false, text: two } as const
  const beneath: DrawnMark = { ...mark, kind: 'beneath', pair: 0 }
  const strike = (pair: number): DrawnMark => ({ ...mark, kind: 'strike', pair })
  expect(inGroups([beneath, beneath]).map((group) => group.length)).toEqual([2])
  expect(inGroups([strike(1), strike(1), strike(2), strike(2)])).toHaveLength(2)
})

test('pairs of strikes are told apart by hatch and by letter, one pair needs no letter', () => {
  const box = { x: 0, y: 0, width: 20, height: 20 }
  const strike = (pair: number): DrawnMark => ({
    ...{ kind: 'strike', on: 0, part: 'm-0-0', sign: '', signed: false, text: null, pair },
  })
  const one = drawing([strike(1), strike(1)], () => [box], 20)
  expect(one.notes).toEqual([])
  const three = drawing([strike(1), strike(2), strike(3)], () => [box], 20)
  expect(three.notes.map(({ letter }) => letter)).toEqual(['a', 'b', 'c'])
  expect(three.strokes).toHaveLength(4) // rising, falling, both
  expect(new Set(three.strokes.map(({ path }) => path)).size).toBe(2)
})
