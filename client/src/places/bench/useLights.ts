/** Features of a function and the lines that state them light each other. */
import { computed, ref, type Ref } from 'vue'
import type { Schemas } from '@/api/client'

/** The law by which a line states a feature, as the judge names it. */
export const FOUND_BY = {
  domain: 'domain',
  holes: 'hole',
  vertical: 'vertical-asymptote',
  horizontal: 'horizontal-asymptote',
  oblique: 'oblique-asymptote',
  xIntercepts: 'x-intercept',
  yIntercept: 'y-intercept',
  ends: 'end-behaviour',
  shift: 'polynomial-division',
} as const

export type FeatureName = keyof typeof FOUND_BY

/**
 * @param checked the judged lines
 * @param chosen the chosen line, from 0; its feature is lit while nothing is pointed at
 */
export function useLights(checked: Ref<Schemas['Checked'] | null>, chosen: Ref<number | null>) {
  /** What is pointed at: a feature beside the plot, or a line on the spine. */
  const feature = ref<FeatureName | null>(null)
  const line = ref<number | null>(null)

  const litFeature = computed<FeatureName | null>(() => {
    if (feature.value) return feature.value
    const law = checked.value?.lines[line.value ?? chosen.value ?? -1]?.law
    const names = Object.keys(FOUND_BY) as FeatureName[]
    return names.find((name) => FOUND_BY[name] === law) ?? null
  })
  const litLines = computed<number[]>(() => {
    const name = feature.value
    const lines = name ? (checked.value?.lines ?? []) : []
    return lines.flatMap(({ law }, index) => (name && law === FOUND_BY[name] ? [index] : []))
  })

  return {
    feature,
    line,
    litFeature,
    litLines,
    point: (name: FeatureName | null) => (feature.value = name),
    over: (index: number | null) => (line.value = index),
  }
}

export type Lights = ReturnType<typeof useLights>
