import { flushPromises } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { fakeServer, type Asked } from '@/shared/testing/server'
import { shown } from '@/shared/testing/shown'
import { words } from '@/texts/en'
import HousePlace from './HousePlace.vue'

afterEach(() => void vi.unstubAllGlobals())

function server() {
  let rules: Record<string, unknown> = { juxtaposition: 'equal', density: 'board' }
  return ({ method, path, body }: Asked) => {
    if (path.endsWith('/house')) {
      if (method === 'PUT') rules = body
      return { body: rules }
    }
    if (/\/(schools|conventions|places)$/.test(path)) return { body: [] }
    if (path.endsWith('/read')) {
      const latex = rules.juxtaposition === 'equal' ? '\\frac{1}{2}x' : '\\frac{1}{2x}'
      return { body: { text: '', latex, sides: {}, spoken: `read ${rules.juxtaposition}` } }
    }
    const count = { fine: 4, board: 3, key: 1 }[String(rules.density)] ?? 0
    const lines = Array.from({ length: count }, (_, n) => ({ text: `${n}`, latex: `${n}` }))
    return { body: { reads: { latex: 'x' }, lines } }
  }
}

test('each rule has a live example that changes with the choice', async () => {
  const calls = fakeServer(server())
  const place = shown(HousePlace)
  await flushPromises()
  expect(place.findAll('figure')[2]?.findAll('.katex')).toHaveLength(4)

  await place.find('input[value=comma]').setValue(true)
  await flushPromises()
  expect(place.find('code').text() + place.findAll('code')[1]?.text()).toContain('1,5; x = 2')
  await place.find('input[value=tighter]').setValue(true)
  await flushPromises()
  expect(place.text()).toContain('read tighter')
  await place.find('input[value=key]').setValue(true)
  await flushPromises()

  expect(place.findAll('figure')[2]?.findAll('.katex')).toHaveLength(2)
  expect(place.find('[role=status]').text()).toBe(words.house.kept)
  const sent = calls.filter(({ method }) => method === 'PUT').map(({ body }) => body)
  expect(sent).toEqual([
    { juxtaposition: 'equal', density: 'board', decimal: 'comma' },
    { juxtaposition: 'tighter', density: 'board', decimal: 'comma' },
    { juxtaposition: 'tighter', density: 'key', decimal: 'comma' },
  ])
})

test('rules that cannot be had or kept say why', async () => {
  const away = { code: 'database-away', message: 'The database does not answer.', at: null }
  fakeServer(() => ({ status: 503, body: away }))
  const place = shown(HousePlace)

  await flushPromises()

  expect(place.find('[role=alert]').text()).toContain(away.message)
  expect(place.find('fieldset').exists()).toBe(false)
})
