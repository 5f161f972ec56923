<script setup lang="ts">
/** One item of a sitting with the class on its spine: how many left where, what to say next. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import PlacedAnswers from '@/answers/PlacedAnswers.vue'
import PrintedPage from '@/shared/page/PrintedPage.vue'
import { words } from '@/texts/en'
import VersionSelect from './VersionSelect.vue'

const props = defineProps<{
  /** The sitting's id. */
  id: string
  /** The item's number, from 1. */
  number: string
}>()

const showsCodes = ref(false)
const version = ref('')
const { data, error, refetch } = useQuery({
  queryKey: computed(() => ['sitting-item', props.id, props.number, version.value]),
  queryFn: () => {
    const path = { identity: props.id, number: Number(props.number) }
    const params = { path, query: { version: version.value } }
    return result(api.GET('/api/sittings/{identity}/items/{number}', { params }))
  },
})
</script>

<template>
  <PrintedPage
    :back="{ name: 'sitting', params: { id } }"
    :back-to="words.papers.backToGrid"
    :refusal="saidOf(error)"
    :ready="!!data"
    :title="words.papers.item(Number(number))"
    @again="refetch"
  >
    <template #actions>
      <VersionSelect
        v-if="data"
        :versions="data.versions"
        :model-value="data.item.version"
        @update:model-value="(now) => (version = now)"
      />
      <router-link :to="{ name: 'scheme', params: { id, number } }">{{
        words.scheme.open
      }}</router-link>
      <el-checkbox v-model="showsCodes" :title="words.answers.codesSays">
        {{ words.answers.codes }}
      </el-checkbox>
    </template>
    <PlacedAnswers
      v-if="data"
      :placed="data.placed"
      :codes="data.codes"
      :shows-codes="showsCodes"
      :given="data.item.given"
    />
  </PrintedPage>
</template>
