/** One thing that is done on the server at a time: whether it runs, why it failed, and doing it again. */
import { ref } from 'vue'
import { Refusal } from './client'

export function useAction() {
  const busy = ref(false)
  const refusal = ref('')
  let last: (() => Promise<void>) | null = null

  /** Do `action`; what the server refuses is told in `refusal`, and whether it was done is returned. */
  async function run(action: () => Promise<void>): Promise<boolean> {
    last = action
    busy.value = true
    refusal.value = ''
    try {
      await action()
      return true
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      refusal.value = reason.message
      return false
    } finally {
      busy.value = false
    }
  }

  /** Do what failed once more. */
  const again = () => (last ? run(last) : Promise.resolve(false))

  return { busy, refusal, run, again }
}
