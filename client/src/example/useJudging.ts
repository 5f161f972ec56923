/** Judges the lines of an example as they are typed; the latest answer wins. */
import { useTimeoutFn } from '@vueuse/core'
import { computed, onScopeDispose, ref, watch, type Ref } from 'vue'
import { api, Refusal, result, signedOut, type Schemas } from '@/api/client'
import { aroundOf, marksOf } from '@/spine/marks'
import type { Mark, StopLine } from '@/spine/types'
import { contentOf, type Content } from '@/example/content'
import { agree, joined, knownOf, knowsAll, type Explained } from '@/example/explained'
import { problemOf } from '@/example/problem'
import { saidOf } from '@/example/stops'

type Checked = Schemas['Checked']
type CheckedLine = Schemas['CheckedLine']
type Inspected = Schemas['Inspected']

/** After a key: the verdict, of several keys together where one is asked for already. Then why. Milliseconds. */
const PAUSE = 15
const PAUSE_BEFORE_WHY = 220

function markOfGiven(body: Schemas['ProblemIn']): string {
  return JSON.stringify([body.task, body.given, body.variable, body.numbers, body.house])
}

/**
 * @param content the example; its given and lines are judged
 * @param draft the line that is being typed, judged as the last one
 * @param ended whether the work is said to be at its end: only then is its last line held against what is asked
 */
export function useJudging(content: Ref<Content>, draft: Ref<string>, ended: Ref<boolean>) {
  const checked = ref<Checked | null>(null)
  const inspected = ref<Inspected | null>(null)
  const givenFailure = ref<Refusal | null>(null)
  const failure = ref<Refusal | null>(null)
  const judging = ref(false)
  /** What was asked when `inspected` was answered. */
  const sentGiven = ref('')
  let current: AbortController | null = null
  let last: Explained | null = null

  async function judge(explains: boolean): Promise<void> {
    current?.abort()
    whySoon.stop()
    if (!content.value.given.trim()) {
      checked.value = inspected.value = givenFailure.value = null
      sentGiven.value = ''
      return
    }
    const control = (current = new AbortController())
    judging.value = true
    const lines = [...content.value.lines, ...(draft.value.trim() ? [draft.value] : [])]
    const body = { ...problemOf(content.value), lines, explains, goes_on: !ended.value }
    try {
      await Promise.all([verdict(body, control.signal), inspect(body, control.signal)])
      failure.value = givenFailure.value = null
    } catch (refusal) {
      if (!(refusal instanceof Refusal)) return
      if (explains && refusal.code === 'busy') return void whySoon.start() // others are being helped
      if (refusal.status === 422 || refusal.status === 413) {
        givenFailure.value = refusal
        checked.value = inspected.value = null
        sentGiven.value = ''
      } else failure.value = refusal
    } finally {
      if (current === control) judging.value = false
    }
  }

  /** The lines' verdicts, shown as they come: they do not wait for what is said of the problem. */
  async function verdict(asked: Schemas['ProblemIn'], signal: AbortSignal): Promise<void> {
    const known = knownOf(last, asked)
    if (known && knowsAll(known, asked)) {
      checked.value = known
      return
    }
    const body = { ...asked, explained: known?.explained ?? 0 }
    const params = { query: { quick: !asked.explains } }
    const answer = await result(api.POST('/api/algebra/check', { params, body, signal }))
    const holds = !known || agree(known, answer)
    checked.value = known && holds ? joined(known, answer) : answer
    if (!holds) last = null
    else if (asked.explains) last = { asked, checked: checked.value }
    if (!holds || !asked.explains || answer.unexplained) whySoon.start()
  }

  async function inspect(body: Schemas['ProblemIn'], signal: AbortSignal): Promise<void> {
    const mark = markOfGiven(body)
    if (mark === sentGiven.value) return
    inspected.value = await result(
      api.POST('/api/algebra/inspect', { body: { ...body, lines: [], traps: false }, signal }),
    )
    sentGiven.value = mark
  }

  const whenever = { immediate: false }
  const soon = useTimeoutFn(() => void judge(false), PAUSE, whenever)
  const pause = computed(() => (draft.value.trim() ? PAUSE_BEFORE_WHY : PAUSE))
  const whySoon = useTimeoutFn(() => void judge(true), pause, whenever)
  /** What came judged from the server, and is not asked for again. */
  let judgedAlready = ''
  watch(
    [content, draft, ended],
    () => {
      if (
        !draft.value &&
        !ended.value &&
        JSON.stringify(problemOf(content.value)) === judgedAlready
      )
        return
      judgedAlready = ''
      if (judging.value) soon.start()
      else void judge(false) // before the key is painted: the server works meanwhile
    },
    { deep: true, immediate: true },
  )

  /** Take what an example was opened with; without a judgement it is asked for. */
  function took({ example, checked: lines, inspected: problem }: Schemas['Opened']): void {
    if (!lines || !problem) return
    current?.abort()
    soon.stop()
    const body = problemOf(contentOf(example))
    judgedAlready = JSON.stringify(body)
    checked.value = lines
    inspected.value = problem
    sentGiven.value = markOfGiven(body)
    failure.value = givenFailure.value = null
    last = { asked: { ...body, goes_on: true }, checked: lines }
    if (lines.unexplained) whySoon.start()
    else whySoon.stop()
  }
  watch(signedOut, (out) => {
    if (!out) soon.start()
  })
  onScopeDispose(() => current?.abort())

  const givenMark = () => markOfGiven(problemOf(content.value))

  /** A new problem is posed: what was refused before says nothing of it. */
  function posed(): void {
    givenFailure.value = null
  }

  function lineAt(index: number, text: string): CheckedLine | null {
    const found = checked.value?.lines[index]
    return found && found.text === text ? found : null
  }

  function stopAt(index: number, text: string, mark: Mark | undefined): StopLine {
    const line = lineAt(index, text)
    return {
      number: index + 1,
      text,
      mark: line && mark ? mark : 'waiting',
      sides: line?.sides ?? null,
      spoken: line?.spoken ?? text,
      at: line?.failure?.at ?? null,
      ...(line ? saidOf(line, content.value.reasons[text]) : { words: '' }),
      ...aroundOf(line),
    }
  }

  const marks = computed(() => marksOf(checked.value?.lines ?? []))
  const stops = computed(() =>
    content.value.lines.map((text, index) => stopAt(index, text, marks.value[index])),
  )
  const draftStop = computed(() => {
    const index = content.value.lines.length
    return draft.value.trim() ? stopAt(index, draft.value, marks.value[index]) : null
  })
  const given = computed<StopLine | null>(() => {
    const text = content.value.given
    if (!text.trim()) return null
    const reads = inspected.value?.reads // the one before stands until the new one is typeset
    const sides = reads && sentGiven.value === givenMark() ? reads.sides : null
    return { number: 0, text, mark: 'given', sides, spoken: reads?.spoken ?? text, words: '' }
  })

  return {
    checked,
    inspected,
    givenFailure,
    failure,
    judging,
    stops,
    draftStop,
    given,
    lineAt,
    posed,
    took,
    /** Judge now, where a slow or stopped server gave no answer. */
    again: () => {
      last = failure.value = null // said no more: what is waited for is the answer
      void judge(false)
    },
  }
}
