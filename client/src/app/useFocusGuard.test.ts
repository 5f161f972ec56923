import { afterEach, beforeEach, expect, test } from 'vitest'
import { nextTick } from 'vue'
import { entered } from '@/shared/testing/server'
import { inheritor, useFocusGuard } from './useFocusGuard'

beforeEach(() => {
  document.body.innerHTML = `
    <main id="main" tabindex="-1">
      <ul><li><button id="one">1</button></li><li><button id="two">2</button></li></ul>
      <p><span><b id="deep"><button id="last">3</button></b></span></p>
    </main>`
})
afterEach(() => void (document.body.innerHTML = ''))

const at = (id: string) => document.getElementById(id) as HTMLElement
const ancestors = (id: string) => {
  const found: Element[] = []
  for (let one = at(id).parentElement; one && one !== document.body; one = one.parentElement) {
    found.push(one)
  }
  return found
}

test('the heir is the first thing to focus in the nearest place that is still there', () => {
  const around = ancestors('one')
  at('one').closest('li')?.remove()
  expect(inheritor(around)?.id).toBe('two')
})

test('a place with nothing to focus gets it itself; where nothing is left, the content does', () => {
  const around = ancestors('last')
  at('last').remove()
  expect(inheritor(around)?.id).toBe('deep')
  expect(inheritor([document.createElement('p')])?.id).toBe('main')
  expect(inheritor([document.body.firstElementChild!.parentElement!])?.id).toBe('main')
})

test('when what has the focus goes, the focus does not fall to the page', async () => {
  const { leave } = entered(() => useFocusGuard())
  at('one').focus()
  await nextTick()
  at('one').closest('li')?.remove()
  await new Promise((resolve) => setTimeout(resolve, 20))
  expect(document.activeElement?.id).toBe('two')
  leave()
})
