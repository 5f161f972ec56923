<script setup lang="ts">
/** One student's lines on the spine; where they left it, a hand shows what the student did. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { givenStop, writtenStops } from '@/example/stops'
import { dividedAs, withMarks } from '@/example/useMarks'
import { isLeaving } from '@/spine/marks'
import SpineLine from '@/spine/SpineLine.vue'
import { divisions } from '@/spine/tracks'

const props = defineProps<{
  /** The sitting's id. */
  sitting: string
  /** The student's id. */
  student: number
  item: Schemas['GivenItem']
  work: Schemas['WorkOut']
}>()

const stops = computed(() => [
  ...(props.item.reads ? [givenStop(props.item.reads, '')] : []),
  ...writtenStops(props.work.checked),
])
const divided = computed(() => divisions(stops.value))
/** The number of the line where the student left. */
const left = computed(() => stops.value.find(({ mark }) => isLeaving(mark))?.number ?? 0)
const { data } = useQuery({
  queryKey: computed(() => ['drawn', props.item.id, props.student, props.work.lines.join('\n')]),
  queryFn: ({ signal }) => {
    const params = {
      path: { identity: props.sitting, student: props.student, item: props.item.id },
    }
    const route = '/api/sittings/{identity}/papers/{student}/items/{item}/drawn'
    return result(api.GET(route, { params, signal }))
  },
  enabled: computed(() => left.value > 0),
  staleTime: Infinity,
})
const marked = computed(() => {
  const lines = data.value?.lines ?? []
  const marks = lines[left.value]?.marks ?? []
  return stops.value.map((stop) => ({
    ...withMarks(stop, lines[stop.number], marks),
    leaves: true,
  }))
})
</script>

<template>
  <div v-for="(stop, index) in marked" :key="index">
    <SpineLine :line="stop" :division="dividedAs(divided[index], stop)" />
  </div>
</template>
