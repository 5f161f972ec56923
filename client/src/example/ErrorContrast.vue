<script setup lang="ts">
/** The contrast of an error, asked for where it is looked at; nothing where the error is a teacher's own. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, Refusal, result } from '@/api/client'
import ContrastPair from '@/spine/ContrastPair.vue'

const props = defineProps<{
  /** The error's id. */
  error: string
}>()
const { data } = useQuery({
  queryKey: computed(() => ['contrast', props.error]),
  queryFn: async ({ signal }) => {
    try {
      const params = { path: { error: props.error } }
      return await result(api.GET('/api/algebra/contrast/{error}', { params, signal }))
    } catch (reason) {
      if (reason instanceof Refusal && reason.status === 422) return null
      throw reason
    }
  },
  staleTime: Infinity,
})
</script>

<template>
  <ContrastPair v-if="data?.before" :contrast="data" />
</template>
