/** Live examples: problems worked by the rules as they are now, each under its own key. */
import { reactive } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'

type Shown = { key: string; task: Schemas['ProblemIn']['task'] | null; given: string }

export function useWorked() {
  const worked = reactive<Record<string, Schemas['Worked']>>({})

  async function work({ key, task, given }: Shown): Promise<void> {
    if (!task) return
    try {
      const body = { task, given, form: [], lines: [], numbers: 'real' as const }
      worked[key] = await result(api.POST('/api/algebra/work', { body }))
    } catch (reason) {
      if (!(reason instanceof Refusal)) throw reason
      delete worked[key]
    }
  }

  return { worked, workAll: (shown: Shown[]) => shown.forEach((one) => void work(one)) }
}
