<script setup lang="ts">
/** The set's own way to work an item, beside the student's lines. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import FailureNote from '@/shared/page/FailureNote.vue'
import SpineLine from '@/spine/SpineLine.vue'
import { divisions } from '@/spine/tracks'
import type { StopLine } from '@/spine/types'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The sitting's id. */
  sitting: string
  item: Schemas['GivenItem']
  /** The rank of its heading where it stands. */
  heading?: 'h2' | 'h3'
}>()
const { data, error, refetch } = useQuery({
  queryKey: computed(() => ['scheme', props.sitting, props.item.number, props.item.version]),
  queryFn: () => {
    const { number, version } = props.item
    const params = { path: { identity: props.sitting, number }, query: { version } }
    return result(api.GET('/api/sittings/{identity}/items/{number}/scheme', { params }))
  },
})
const stops = computed<StopLine[]>(() =>
  (data.value?.way ?? []).map((line, index) => ({
    ...{ number: index + 1, text: line.text, mark: 'ok' as const, sides: line.sides },
    ...{ spoken: line.spoken, words: line.says, pieces: line.parts },
  })),
)
const divided = computed(() => divisions(stops.value))
</script>

<template>
  <div>
    <component :is="heading ?? 'h3'">{{ words.scheme.way }}</component>
    <FailureNote :message="saidOf(error)" @again="refetch" />
    <div class="u-spine" :class="{ hanging: !stops[0]?.sides?.left }">
      <SpineLine
        v-for="(stop, index) in stops"
        :key="index"
        :line="stop"
        :division="divided[index]"
      />
    </div>
  </div>
</template>
