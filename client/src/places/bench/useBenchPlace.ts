/** What one does at the bench besides writing: opening, posing, working, crossing out, leaving for another view. */
import { computed, nextTick, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import { problemOf } from '@/example/problem'
import { didBy, useClassesAt } from '@/example/useClassesAt'
import { useMarks } from '@/example/useMarks'
import { useLeaving } from '@/shared/composables/useLeaving'
import { useBench } from './useBench'
import { useForks, type Fork } from './useForks'

/** Another view of the example. */
export type View = 'show' | 'key' | 'track' | 'exercise' | 'answers'

/**
 * @param wanted the id that the address names, as a getter; `new` for a blank one, none for the last one
 * @param toEntry puts the cursor where the next line is written
 */
export function useBenchPlace(wanted: () => string | undefined, toEntry: () => void) {
  const router = useRouter()
  const leaving = useLeaving()
  const bench = useBench((id) => leaving.value || router.replace({ name: 'bench', params: { id } }))
  const { content, draft, chosen, editing, saving, judging } = bench
  const posing = ref(false)
  const forking = ref(false)
  const classes = useClassesAt(() => (forking.value ? saving.id.value : null))
  const forks = useForks(content, forking, classes)
  const isLooked = computed(() => chosen.value !== null)
  const posed = computed(() => problemOf(content.value))
  const drawn = useMarks(posed, isLooked)
  /** The line whose forks are drawn (0: the given): the one that was asked for, or chosen, or the first that any leave. */
  const forkAsked = ref<number | null>(null)
  const forkedAt = computed(() => {
    if (forkAsked.value !== null) return Math.min(forkAsked.value, content.value.lines.length)
    if (chosen.value !== null) return chosen.value + 1
    const leaving = forks.forks.value.map((fork) => fork.after)
    return leaving.length ? Math.min(...leaving) : content.value.lines.length
  })
  watch(chosen, () => (forkAsked.value = null))
  /** Why the example could not be opened; '' where it was. */
  const notOpened = ref('')
  const isGone = ref(false)
  /** Whether what is wanted is not here yet: nothing is written into what would be overwritten. */
  const isOpening = ref(false)
  let latest = 0
  /** Working the problem, or carrying a fork on. */
  const working = useAction()

  async function open(id: string | undefined): Promise<void> {
    if (id && id === saving.id.value && !isOpening.value) return
    const mine = ++latest
    isOpening.value = id !== 'new'
    notOpened.value = ''
    try {
      if (!id) {
        const last = (await result(api.GET('/api/examples'))).results[0]
        if (leaving.value || wanted()) return // gone on meanwhile
        await router.replace(last ? { name: 'bench', params: { id: last.id } } : { name: 'first' })
        return
      }
      await bench.open(id === 'new' ? null : id)
      posing.value = false
      working.refusal.value = ''
      isGone.value = false
    } catch (refusal) {
      if (!(refusal instanceof Refusal)) throw refusal
      if (mine !== latest) return
      notOpened.value = refusal.message
      isGone.value = refusal.status === 404
    } finally {
      if (mine === latest && id) isOpening.value = false
    }
  }
  watch(wanted, open, { immediate: true })
  watch(content, () => (working.refusal.value = ''))

  function goOn(): void {
    chosen.value = editing.value = null
    void nextTick(toEntry)
  }

  function pose(text: string): void {
    posing.value = false
    judging.posed()
    bench.pose(text)
    void nextTick(toEntry)
  }

  const workIt = (method?: string) => working.run(() => bench.workIt(method))

  /** Enter: the line is kept; under finished work, without a line, it is asked whether it is at its end. */
  function keepOrEnd(): void {
    if (draft.value.trim()) bench.keepDraft()
    else bench.ended.value = content.value.lines.length > 0
  }

  function forkAt(number: number): void {
    forking.value = true
    if (number > 0) chosen.value = number - 1
    void nextTick(() => (forkAsked.value = number))
  }

  function paste(lines: string[]): void {
    bench.addLines(lines)
    draft.value = ''
  }

  /** Cross a line out, or bring it back: it stays, thin and struck, and does not count. */
  function cross(): void {
    const index = chosen.value ?? content.value.lines.length - 1
    const text = content.value.lines[index]
    if (text === undefined) return
    const struck = /^~~(.*)~~$/.exec(text)
    bench.editLine(index, struck?.[1] ?? `~~${text}~~`)
  }

  /** Whether side work beside the chosen line is open. */
  const sideWork = ref(true)

  /** Write side work as lines before the chosen one: they are judged like any other. */
  function writeBeside(lines: string[]): void {
    const at = chosen.value ?? content.value.lines.length
    lines.forEach((line, index) => bench.insertLine(at + index, line))
    chosen.value = at + lines.length
  }

  /** The lines that carry a fork's wrong line on; null where no method goes on, or none came. */
  async function carry(fork: Fork): Promise<Schemas['LawLine'][] | null> {
    const body = { ...problemOf(content.value), wrong: fork.wrong }
    let path = null
    await working.run(async () => {
      path = (await result(api.POST('/api/algebra/fork', { body }))).path
    })
    return path
  }

  /** Go to another view as soon as everything written is stored. */
  async function leaveFor(view: View): Promise<void> {
    await saving.save()
    const id = saving.id.value
    if (!leaving.value && saving.state.value === 'saved' && id)
      await router.push({ name: view, params: { id } })
  }

  return {
    ...bench,
    posing,
    forking,
    forks,
    drawn,
    did: (error: string) => didBy(error, classes.value),
    forkedAt,
    forkAt,
    notOpened,
    isGone,
    isOpening,
    working,
    again: () => open(wanted()),
    goOn,
    pose,
    workIt,
    keepOrEnd,
    paste,
    cross,
    sideWork,
    writeBeside,
    carry,
    leaveFor,
    fresh: () => void router.push({ name: 'bench', params: { id: 'new' } }),
  }
}

export type BenchPlace = ReturnType<typeof useBenchPlace>
