<script setup lang="ts">
/** What was done to the account and taken out of it, the latest first. */
import { computed } from 'vue'
import { saidOf } from '@/api/queries'
import { dated } from '@/shared/logic/dated'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import { useAudit } from './useAccount'

const { data, isPending, error, refetch, hasNextPage, fetchNextPage, isFetchingNextPage } =
  useAudit()
const entries = computed(() => data.value?.pages.flatMap((page) => page.results) ?? [])
</script>

<template>
  <section>
    <h2>{{ words.account.audit }}</h2>
    <WaitFor :pending="isPending" :failure="saidOf(error)" @again="refetch">
      <p v-if="!entries.length" class="u-quiet">{{ words.account.auditNone }}</p>
      <ol v-else>
        <li v-for="(entry, at) in entries" :key="at">
          <time class="u-quiet" :datetime="entry.at">{{ dated(entry.at) }}</time>
          <span>{{ entry.says }}</span>
          <span class="u-quiet">{{ words.account.by(entry.by, entry.address ?? '') }}</span>
        </li>
      </ol>
      <el-button v-if="hasNextPage" :loading="isFetchingNextPage" @click="fetchNextPage()">
        {{ words.account.auditMore }}
      </el-button>
    </WaitFor>
  </section>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0 0 var(--space-3);
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 11rem minmax(0, 1fr) auto;
  gap: var(--space-3);
  align-items: baseline;
  padding: var(--space-1) 0;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
