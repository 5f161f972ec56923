/** The studied function: graph, features and lines that light each other, the shift form. */
import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, expect, test, vi } from 'vitest'
import { ref } from 'vue'
import { api, type Schemas } from '@/api/client'
import FunctionStudy from './FunctionStudy.vue'
import { shifted, valueOf } from './shift'
import { useLights } from './useLights'

const FUNCTION = {
  reads: { text: '2/(x-5) + 2', latex: '\\frac{2}{x-5}+2', sides: null, spoken: '' },
  features: {
    domain_excluded: ['5'],
    holes: [['-3', '3/2']],
    vertical: ['x=5'],
    horizontal: 'y=2',
    oblique: null,
    x_intercepts: ['3'],
    y_intercept: '6/5',
    end: { left: '2', right: 'infinity' },
    points: [['4', '-2']],
    shift: { a: '2', h: '5', k: '2' },
  },
  curve: {
    window: { x: [-8, 8], y: [-8, 8] },
    branches: [
      [
        [-8, 1],
        [4, -2],
      ],
    ],
    marks: {
      vertical: [5],
      horizontal: 2,
      oblique: null,
      zeros: [3],
      at_zero: 1.2,
      holes: [[-3, 1.5]],
    },
  },
}

afterEach(() => vi.restoreAllMocks())

async function studied(lit: 'holes' | null = null) {
  const reply = { data: FUNCTION, response: new Response(null, { status: 200 }) }
  const asked = vi.spyOn(api, 'POST').mockResolvedValue(reply as never)
  const panel = mount(FunctionStudy, { props: { given: '2/(x-5) + 2', unknown: 'x', lit } })
  await flushPromises()
  return { panel, asked }
}

test('the graph names its asymptotes and leaves holes open', async () => {
  const { panel } = await studied('holes')

  expect(panel.find('.asymptotes').text()).toContain('x = 5')
  expect(panel.find('.asymptotes').text()).toContain('y = 2')
  expect(panel.findAll('.hole')).toHaveLength(1)
  expect(panel.text()).toContain('2 · ∞')
  expect(panel.find('svg').attributes('aria-label')).toContain('(−3, 3/2)')
  expect(panel.find('svg').attributes('data-lit')).toBe('holes')
})

test('h and k move by keyboard; the moved function can be put back or taken', async () => {
  const { panel, asked } = await studied()

  await panel.find('input[type=number]').setValue('-1')
  await flushPromises()
  expect(asked.mock.lastCall?.[1]).toMatchObject({ body: { given: '2/(x + 1) + 2' } })
  expect(panel.findAll('.was')).toHaveLength(1)
  await panel.findAll('.shift button')[0]?.trigger('click')
  await panel.findAll('.shift button')[1]?.trigger('click')

  expect(panel.emitted('take')).toEqual([['2/(x + 1) + 2']])
  expect(panel.findAll('.was')).toHaveLength(0)
})

test('a shift form is written with the signs that it needs', () => {
  expect(shifted('1/2', { h: 0, k: 0 }, 't')).toBe('(1/2)/t')
  expect(shifted('-3', { h: 2, k: -4 }, 'x')).toBe('-3/(x - 2) - 4')
  expect(valueOf('-1/2')).toBe(-0.5)
})

test('a feature lights the lines that state it, a line its feature', () => {
  const lines = [{ law: 'hole' }, { law: 'vertical-asymptote' }, { law: 'hole' }]
  const checked = ref({ lines } as unknown as Schemas['Checked'])
  const chosen = ref<number | null>(1)

  const lights = useLights(checked, chosen)
  expect(lights.litFeature.value).toBe('vertical')
  lights.feature.value = 'holes'

  expect(lights.litFeature.value).toBe('holes')
  expect(lights.litLines.value).toEqual([0, 2])
})
