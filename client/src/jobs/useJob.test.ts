import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import { entered, fakeServer } from '@/shared/testing/server'
import { words } from '@/texts/en'
import JobProgress from './JobProgress.vue'
import { useJob } from './useJob'

const JOB: Schemas['JobOut'] = {
  id: 'j',
  kind: 'versions',
  state: 'waiting',
  done: 0,
  total: null,
  message: '',
  outcome: null,
}

beforeEach(() => void vi.useFakeTimers())
afterEach(() => {
  vi.useRealTimers()
  vi.unstubAllGlobals()
})

async function waited(milliseconds: number): Promise<void> {
  await vi.advanceTimersByTimeAsync(milliseconds)
  await flushPromises()
}

test('a job is followed until it is done, and told of once', async () => {
  const states = [
    { state: 'running', done: 1, total: 2 },
    { state: 'done', done: 2, total: 2 },
  ]
  const calls = fakeServer(() => ({ body: { ...JOB, ...(states.shift() ?? {}) } }))
  const finished = vi.fn()
  const { value } = entered(() => useJob(() => JOB, finished))

  await waited(450)
  expect(value.job.value?.done).toBe(1)
  await waited(450)
  await waited(2000)

  expect(value.isOpen.value).toBe(false)
  expect(finished).toHaveBeenCalledTimes(1)
  expect(calls).toHaveLength(2)
})

test('what is done partly is finished too', async () => {
  fakeServer(() => ({ body: { ...JOB, state: 'partly', message: 'One was taken out.' } }))
  const finished = vi.fn()
  entered(() => useJob(() => JOB, finished))
  await waited(2000)
  expect(finished).toHaveBeenCalledTimes(1)
})

test('a server that is away is said, and asked again', async () => {
  let isAway = true
  fakeServer(() =>
    isAway
      ? { status: 503, body: { code: 'database-away', message: 'The database does not answer.' } }
      : { body: { ...JOB, state: 'done', total: 1, done: 1 } },
  )
  const { value } = entered(() =>
    useJob(
      () => JOB,
      () => undefined,
    ),
  )

  await waited(450)
  expect(value.refusal.value).toBe('The database does not answer.')
  isAway = false
  await waited(450)

  expect(value.refusal.value).toBe('')
  expect(value.job.value?.state).toBe('done')
})

test('nobody asks on when the place is left, or when the job is stopped', async () => {
  const calls = fakeServer(({ method }) => ({
    body: { ...JOB, state: method === 'POST' ? 'cancelled' : 'running', total: 5 },
  }))
  const begun = ref<Schemas['JobOut'] | null>(JOB)
  const { value, leave } = entered(() =>
    useJob(
      () => begun.value,
      () => undefined,
    ),
  )
  await waited(450)
  await value.cancel()
  await waited(50)
  const asked = calls.length
  expect(value.job.value?.state).toBe('cancelled')

  leave()
  await waited(3000)

  expect(calls.length).toBeLessThanOrEqual(asked + 1)
})

test.each([
  [{ state: 'waiting' }, words.jobs.waiting],
  [{ state: 'running', done: 3, total: 9 }, words.jobs.running(3, 9)],
  [{ state: 'failed', message: 'It has no problem.' }, 'It has no problem.'],
  [{ state: 'partly', message: 'One was taken out.' }, 'One was taken out.'],
  [{ state: 'cancelled' }, words.jobs.cancelled],
] as const)('how far it is stands in words: %o', (change, said) => {
  const job = { ...JOB, ...change } as Schemas['JobOut']
  const shown = mount(JobProgress, { props: { job, refusal: '' } })

  expect(shown.find('[role=status]').text()).toContain(said)
})
