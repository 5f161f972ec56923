import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { fakeServer, settled } from '@/shared/testing/server'
import OwnErrorForm from './OwnErrorForm.vue'

async function written(is: 'error' | 'law') {
  const counter = is === 'error' ? 'Try a = 2: 1 is not 2.' : null
  const examined = { is, says: 'This always holds.', counter, examples: [] }
  const calls = fakeServer(({ path }) => ({
    body: path.endsWith('examine') ? examined : { id: 1 },
  }))
  const form = mount(OwnErrorForm, { props: { stored: null } })
  const [name, before, after, when] = form.findAll('input')
  await name?.setValue('Halves one')
  await before?.setValue('(a+b)/2')
  await after?.setValue('a/2+b')
  await when?.setValue('a is a number; b is even')
  await settled(400)
  return { form, calls }
}

describe('an own error', () => {
  beforeEach(() => {
    vi.useFakeTimers()
  })

  it('shows the numbers that refute it and can be kept', async () => {
    const { form, calls } = await written('error')
    expect(form.text()).toContain('Try a = 2')
    await form.find('form').trigger('submit')
    await settled(10)
    const kept = calls.filter((call) => call.path === '/api/errors')
    expect(kept).toHaveLength(1)
    expect(kept[0]?.body['when']).toEqual(['a is a number', 'b is even'])
    expect(form.emitted('kept')).toHaveLength(1)
  })

  it('cannot be kept when it is a law', async () => {
    const { form } = await written('law')
    expect(form.text()).toContain('This always holds.')
    expect(form.html()).toMatch(/disabled/)
  })
})
