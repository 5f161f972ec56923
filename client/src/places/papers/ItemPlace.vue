<script setup lang="ts">
/** One item of a sitting with the class on its spine: how many left where, what to say next. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import { useAction } from '@/api/useAction'
import PlacedAnswers from '@/answers/PlacedAnswers.vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import PrintedPage from '@/shared/page/PrintedPage.vue'
import { words } from '@/texts/en'
import JudgedSpine from './JudgedSpine.vue'
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
  refetchInterval: ({ state }) => (state.data?.spine.waiting ? 2000 : false),
})
const codes = computed(
  () => new Map((data.value?.students ?? []).map(({ id, code }) => [id, code] as const)),
)
const { busy, refusal, run, again } = useAction()

/** Name the error behind a line, for all who wrote it. */
function nameLine(line: string, name: string): void {
  void run(async () => {
    const path = { identity: props.id, number: Number(props.number) }
    const body = { version: version.value, line, name }
    await result(
      api.PUT('/api/sittings/{identity}/items/{number}/name', { params: { path }, body }),
    )
    await refetch()
  })
}
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
    <template v-if="data">
      <FailureNote :message="refusal" @again="again" />
      <JudgedSpine
        :spine="data.spine"
        :code-of="(student) => codes.get(student) ?? ''"
        :shows-codes="showsCodes"
        :busy="busy"
        @name="nameLine"
      />
      <details v-if="data.codes.length" class="alone">
        <summary>{{ words.passing.alone }} ({{ data.codes.length }})</summary>
        <PlacedAnswers
          :placed="data.placed"
          :codes="data.codes"
          :shows-codes="showsCodes"
          :given="data.item.given"
        />
      </details>
    </template>
  </PrintedPage>
</template>

<style scoped>
.alone {
  margin-top: var(--space-5);
}
</style>
