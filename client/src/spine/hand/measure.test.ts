import { beforeEach, expect, test } from 'vitest'
import { boxesIn } from './measure'

/** A line whose elements have the places that `data-at="x y width height"` says. */
function line(html: string): HTMLElement {
  const root = document.createElement('div')
  root.innerHTML = html
  document.body.append(root)
  for (const one of [root, ...root.querySelectorAll<HTMLElement>('*')]) {
    const [x = 0, y = 0, width = 0, height = 0] = (one.dataset['at'] ?? '').split(' ').map(Number)
    one.getBoundingClientRect = () => new DOMRect(x, y, width, height)
  }
  return root
}
beforeEach(() => document.body.replaceChildren())

test('a part reaches as far as what is seen of it, struts and spacers apart', () => {
  const root = line(`
    <span class="m-1-0">
      <span class="strut" data-at="0 0 1 400"></span>
      <span data-at="20 10 10 20">x</span>
      <span class="mspace" data-at="30 10 90 20"></span>
      <span><span data-at="40 10 10 20">3</span></span>
      <span class="katex-mathml"><b data-at="0 0 900 900">x3</b></span>
    </span>`)
  const [box] = boxesIn(root, 'm-1-0')
  expect(box).toMatchObject({ x: 20, width: 30 })
  expect(box?.height).toBeLessThan(20) // a glyph's box is higher than the glyph
  expect(boxesIn(root, 'm-1-1')).toEqual([])
})

test('a term takes the sign before it along, but no sign that is not its own', () => {
  const root = line(`
    <span class="mord" data-at="0 10 10 20">x</span><span class="mbin" data-at="14 10 10 20">−</span>
    <span class="m-1-0-1" data-at="28 10 10 20"><span data-at="28 10 10 20">5</span></span>
    <span class="mbin" data-at="200 10 10 20">+</span>
    <span class="m-1-0-2" data-at="300 10 10 20"><span data-at="300 10 10 20">7</span></span>`)
  expect(boxesIn(root, 'm-1-0-1', true)[0]).toMatchObject({ x: 14, width: 24 })
  expect(boxesIn(root, 'm-1-0-1')[0]).toMatchObject({ x: 28, width: 10 })
  expect(boxesIn(root, 'm-1-0-2', true)[0]).toMatchObject({ x: 300, width: 10 })
})

test('what the hand has written before is no sign of the line, however often it is measured', () => {
  const root = line(`
    <span class="mbin" data-at="14 10 10 20">+</span>
    <span class="m-1-0-1" data-at="28 10 10 20"><span data-at="28 10 10 20">3</span></span>
    <span class="hand"><span class="note"><span class="mord" data-at="20 24 7 20">−</span></span></span>`)
  expect(boxesIn(root, 'm-1-0-1', true)[0]).toMatchObject({ x: 14, width: 24 })
  expect(boxesIn(root, 'm-1-0-1', true)[0]?.height).toBeLessThan(20)
})

test('a whole side has no name of its own: left, right, and on every track', () => {
  const side = (at: string) => `<span class="katex"><span data-at="${at}">x</span></span>`
  const whole = line(
    `<div class="left">${side('0 0 9 20')}</div><div class="right">${side('50 0 9 20')}</div>`,
  )
  expect(boxesIn(whole, 'm-2-0')[0]?.x).toBe(0)
  expect(boxesIn(whole, 'm-2-1')[0]?.x).toBe(50)
  expect(boxesIn(whole, 'm-2')[0]?.x).toBe(50)
  expect(boxesIn(whole, 'm-2-0-1')).toEqual([])
  const divided = line(
    `<i class="to">${side('10 0 9 20')}</i><i class="to">${side('90 0 9 20')}</i>`,
  )
  expect(boxesIn(divided, 'm-2-1').map(({ x }) => x)).toEqual([10, 90])
})

test('what is named on two tracks has a box on each; what takes no room has none', () => {
  const part = (at: string) => `<span class="m-3-0"><span data-at="${at}">x</span></span>`
  const root = line(part('10 0 9 20') + part('80 0 9 20') + part('0 0 0 0'))
  expect(boxesIn(root, 'm-3-0').map(({ x }) => x)).toEqual([10, 80])
})
