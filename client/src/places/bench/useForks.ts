/** Where students leave the example: looked for after a pause, when forks are shown. */
import { useTimeoutFn } from '@vueuse/core'
import { onScopeDispose, ref, watch, type Ref } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import type { Content } from '@/example/content'
import { problemOf } from '@/example/problem'
import { byCounts } from '@/example/useClassesAt'

export type Fork = Schemas['Fork']

/** Milliseconds without a change before forks are looked for: judging comes first. */
const PAUSE = 350
/** Forks of a line where less common ones are wanted too. */
const MOST = 6

/**
 * @param content the example; forks follow its lines
 * @param isShown whether anybody looks at forks: nothing is asked for otherwise
 * @param classes what classes did at this example: the order of a line's forks follows it
 */
export function useForks(
  content: Ref<Content>,
  isShown: Ref<boolean>,
  classes: Ref<Schemas['ClassAt'][]> = ref([]),
) {
  const forks = ref<Fork[]>([])
  /** Whether less common ones are wanted too, until forks are hidden. */
  const wantsMore = ref(false)
  const refused = ref('')
  const isLooking = ref(false)
  let current: AbortController | null = null

  async function look(): Promise<void> {
    current?.abort()
    if (!isShown.value || !content.value.given.trim()) {
      forks.value = []
      isLooking.value = false
      return
    }
    const control = (current = new AbortController())
    isLooking.value = true
    refused.value = ''
    try {
      const body = { ...problemOf(content.value), most: wantsMore.value ? MOST : null }
      const found = await result(api.POST('/api/algebra/forks', { body, signal: control.signal }))
      forks.value = found.forks
    } catch (refusal) {
      if (current !== control || !(refusal instanceof Refusal)) return
      forks.value = []
      refused.value = refusal.message
    } finally {
      if (current === control) isLooking.value = false
    }
  }

  const soon = useTimeoutFn(() => void look(), PAUSE, { immediate: false })
  watch([content, isShown], () => soon.start(), { deep: true, immediate: true })
  watch(isShown, () => (wantsMore.value = false))

  function askForMore(): void {
    wantsMore.value = true
    void look()
  }

  onScopeDispose(() => current?.abort())

  /** The forks that leave line `number` (0: the given); only lines that are written have any. */
  function after(number: number): Fork[] {
    const here = forks.value.filter((fork) => fork.after === number)
    return byCounts(here, classes.value)
  }

  return { forks, after, refused, isLooking, wantsMore, askForMore, again: () => void look() }
}
