<script setup lang="ts">
/** One item of a sitting with the class on its spine: how many left where, what to say next. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import AnswerGroups from '@/answers/AnswerGroups.vue'
import ClassSpine from '@/answers/ClassSpine.vue'
import SayNext from '@/answers/SayNext.vue'
import PrintedPage from '@/shared/page/PrintedPage.vue'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The sitting's id. */
  id: string
  /** The item's number, from 1. */
  number: string
}>()

const showsCodes = ref(false)
const { data, error, refetch } = useQuery({
  queryKey: computed(() => ['sitting-item', props.id, props.number]),
  queryFn: () => {
    const path = { identity: props.id, number: Number(props.number) }
    return result(api.GET('/api/sittings/{identity}/items/{number}', { params: { path } }))
  },
})
const codesOf = (members: readonly number[]) =>
  members.map((member) => data.value?.codes[member] ?? '')
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
      <el-checkbox v-model="showsCodes" :title="words.answers.codesSays">
        {{ words.answers.codes }}
      </el-checkbox>
    </template>
    <p v-if="!data?.codes.length" class="u-quiet">{{ words.answers.none }}</p>
    <div v-else class="found">
      <AnswerGroups
        :groups="data.placed.groups"
        :of="data.codes.length"
        :codes-of="showsCodes ? codesOf : null"
        :given="data.item.given"
      />
      <SayNext :groups="data.placed.groups" />
      <ClassSpine
        :lines="data.placed.lines"
        :numbers="data.placed.numbers"
        :groups="data.placed.groups"
        :of="data.codes.length"
      />
    </div>
  </PrintedPage>
</template>

<style scoped>
.found {
  display: grid;
  gap: var(--space-5);
}
</style>
