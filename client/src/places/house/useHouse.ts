/** The house rules, and what they do to a few live examples. */
import { computed, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import { setDecimal } from '@/shared/math/decimal'
import { setSpelling } from '@/texts/en'

const decimalsAs = (rule: string | undefined) =>
  rule === 'comma' ? 'x = 1,5; x = 2' : 'x = 1.5, x = 2'

export function useHouse() {
  const rules = ref<Schemas['Rules'] | null>(null)
  const root = ref<Schemas['Checked'] | null>(null)
  const reading = ref<Schemas['Reading'] | null>(null)
  const worked = ref<Schemas['Worked'] | null>(null)
  const decimal = ref<Schemas['Reading'] | null>(null)
  const kept = ref(false)
  const { refusal, run, again } = useAction()

  /** Two decimals in a row, as the rules write them. */
  const decimalText = computed(() => decimalsAs(rules.value?.decimal))

  async function show(now: Schemas['Rules']): Promise<void> {
    setDecimal(now.decimal)
    setSpelling(now.spelling)
    const rest = { form: [], lines: [], numbers: 'real' as const }
    const under = { ...rest, task: 'simplify' as const, given: 'sqrt(9x^2)', lines: ['3x'] }
    const equation = { ...rest, task: 'solve' as const, given: '3(x - 2) = x + 4' }
    const [asDecimal, asRead, asRoot, asWorked] = await Promise.all([
      result(api.POST('/api/algebra/read', { body: { text: decimalsAs(now.decimal) } })),
      result(api.POST('/api/algebra/read', { body: { text: '1/2x' } })),
      result(api.POST('/api/algebra/check', { body: under })),
      result(api.POST('/api/algebra/work', { body: equation })),
    ])
    decimal.value = asDecimal
    reading.value = asRead
    root.value = asRoot
    worked.value = asWorked
  }

  void run(async () => {
    const first = await result(api.GET('/api/house'))
    await show(first) // all of it comes at once: nothing is pushed down
    rules.value = first
  })

  function choose(change: Partial<Schemas['Rules']>): Promise<boolean> {
    return run(async () => {
      if (!rules.value) return
      rules.value = await result(api.PUT('/api/house', { body: { ...rules.value, ...change } }))
      kept.value = true
      await show(rules.value)
    })
  }

  return { rules, root, reading, worked, decimal, decimalText, kept, refusal, again, choose }
}
