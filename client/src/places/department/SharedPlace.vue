<script setup lang="ts">
/** Something that a colleague shares, to be read and copied. */
import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import CopyShared from './CopyShared.vue'
import ShareButton from '@/sharing/ShareButton.vue'
import { readable } from '@/shared/logic/readable'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import RuleList from './RuleList.vue'
import SharedSet from './SharedSet.vue'

const props = defineProps<{
  /** What is shared: its id. */
  id: string
}>()

const { data, isPending, error, refetch } = useQuery({
  queryKey: computed(() => ['shared', props.id]),
  queryFn: () =>
    result(api.GET('/api/shared/{identity}', { params: { path: { identity: props.id } } })),
})
const title = computed(() => {
  if (!data.value) return words.titles.shared
  if (data.value.kind === 'house') return words.department.houseOf(data.value.owner)
  return data.value.title || words.department.untitled
})
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="title">
      <template #beside>
        <span v-if="data" class="u-quiet">
          {{ words.department.kinds[data.kind] }} · {{ data.owner }}
        </span>
        <b v-if="data?.changed" class="u-warm">{{ words.department.changed }}</b>
      </template>
      <template v-if="data">
        <ShareButton v-if="data.own" :kind="data.kind" :of="data.key" />
        <CopyShared v-else :row="data" />
      </template>
    </PageHead>
    <p>
      <router-link :to="{ name: 'department' }">{{ words.department.back }}</router-link>
    </p>
    <WaitFor :pending="isPending" :failure="saidOf(error)" @again="refetch">
      <template v-if="data">
        <SharedSet
          v-for="(one, at) in data.sets"
          :key="at"
          :set="one"
          :named="data.kind === 'unit'"
        />
        <article v-for="own in data.errors" :key="own.name">
          <p class="rewrite">
            {{ readable(own.before) }} <span aria-hidden="true">⤳</span>
            <span class="u-unseen">{{ words.department.becomes }}</span>
            <span class="u-warm">{{ readable(own.after) }}</span>
          </p>
          <p v-for="when in own.when" :key="when" class="u-quiet">{{ when }}</p>
          <p>{{ own.says }}</p>
        </article>
        <RuleList v-if="data.kind === 'house'" :rules="data.rules" />
      </template>
    </WaitFor>
  </main>
</template>

<style scoped>
.rewrite {
  font-size: var(--type-formula);
}
</style>
