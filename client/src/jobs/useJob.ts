/** Follows one piece of long work until it is over; it goes on without us, and after a reload. */
import { useTimeoutFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'

const PAUSE = 400
/** Done; `partly` as far as it could be, as its message says. */
const DONE = ['done', 'partly']
const OVER = [...DONE, 'failed', 'cancelled']

/**
 * @param begun the job to follow, as a getter; null for none
 * @param finished called once when it is done
 */
export function useJob(
  begun: () => Schemas['JobOut'] | null,
  finished: (job: Schemas['JobOut']) => void,
) {
  const job = ref<Schemas['JobOut'] | null>(null)
  const refusal = ref('')
  const again = useTimeoutFn(() => job.value && void look(job.value.id), PAUSE, {
    immediate: false,
  })

  async function look(identity: string): Promise<void> {
    try {
      const path = { identity }
      const found = await result(api.GET('/api/jobs/{identity}', { params: { path } }))
      if (job.value?.id !== identity) return
      job.value = found
      refusal.value = ''
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      refusal.value = reason.message // asked again: the work goes on without us
    }
    follow()
  }

  function follow(): void {
    const now = job.value
    if (!now) return
    if (DONE.includes(now.state)) finished(now)
    if (!OVER.includes(now.state)) again.start()
  }

  watch(
    begun,
    (next) => {
      again.stop()
      job.value = next
      if (next && !OVER.includes(next.state)) follow()
    },
    { immediate: true },
  )

  async function cancel(): Promise<void> {
    if (!job.value) return
    const path = { identity: job.value.id }
    job.value = await result(api.POST('/api/jobs/{identity}/cancel', { params: { path } }))
  }

  return {
    job,
    refusal,
    cancel,
    isOpen: computed(() => !!job.value && !OVER.includes(job.value.state)),
  }
}
