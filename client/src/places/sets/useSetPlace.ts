/** What is done to a whole set: problems made, parallel versions, a copy. */
import { computed, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import { useJob } from '@/jobs/useJob'
import { useGoOn } from '@/shared/composables/useGoOn'
import { words } from '@/texts/en'
import type { Likeness } from './ItemDetails.vue'
import { useSet } from './useSet'

const anySeed = () => Math.floor(Math.random() * 1e6)

/** @param id the set's id, as a getter */
export function useSetPlace(id: () => string) {
  const goOn = useGoOn()
  const set = useSet(id)
  const action = useAction()
  const says = ref('')
  const begun = ref<Schemas['JobOut'] | null>(null)
  /** The versions that were just made: they can be taken back. */
  const madeSets = ref<string[]>([])
  const versions = useJob(
    () => begun.value,
    ({ outcome }) => {
      const made = outcome as { sets: string[]; without_twin: number }
      madeSets.value = made.sets
      says.value = words.sets.versionsMade(made.sets.length)
      if (made.without_twin) says.value += ` ${words.sets.withoutTwin(made.without_twin)}`
      void set.load()
    },
  )
  const at = computed(() => ({ params: { path: { identity: id() } } }))

  /** More problems like one of the set, put behind it. */
  function more(example: string, count: number, kind: Likeness): Promise<boolean> {
    says.value = ''
    return action.run(async () => {
      const like = { climbs: kind === 'climbing', tempting: kind === 'tempting' }
      const body = { example, count, ...like, seed: anySeed() }
      const made = await set.changedBy(() =>
        result(api.POST('/api/sets/{identity}/twins', { ...at.value, body })),
      )
      says.value = [words.sets.made(made.added), ...made.keeps, ...made.refused].join(' ')
    })
  }

  /** Problems that are typed, or made to order, at the end of the set. */
  function make(
    body: { text: string } | Schemas['FamilyIn'],
  ): Promise<{ added: number; refused: string[] }> {
    if ('family' in body) {
      return set.changedBy(() =>
        result(api.POST('/api/sets/{identity}/family', { ...at.value, body })),
      )
    }
    return set.changedBy(() =>
      result(api.POST('/api/exchange/typed/{identity}', { ...at.value, body })),
    )
  }

  function makeVersions(count: number): Promise<boolean> {
    says.value = ''
    madeSets.value = []
    return action.run(async () => {
      await set.saving.save()
      const body = { count, seed: anySeed() }
      begun.value = await result(api.POST('/api/sets/{identity}/versions', { ...at.value, body }))
    })
  }

  /** Take the versions back: they are archived, and can be restored there. */
  function undoVersions(): Promise<boolean> {
    return action.run(async () => {
      for (const identity of madeSets.value)
        await result(api.DELETE('/api/sets/{identity}', { params: { path: { identity } } }))
      madeSets.value = []
      says.value = words.sets.versionsUndone
    })
  }

  function copy(): Promise<boolean> {
    says.value = ''
    return action.run(async () => {
      await set.saving.save()
      const made = await result(api.POST('/api/sets/{identity}/copy', at.value))
      says.value = words.sets.copied
      await goOn({ name: 'set', params: { id: made.id } })
    })
  }

  return { set, action, says, versions, more, make, madeSets, makeVersions, undoVersions, copy }
}
