<script setup lang="ts">
/** The school's accounts: found, placed, locked and released; invitations; departments. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import AccountTable from './AccountTable.vue'
import DepartmentList from './DepartmentList.vue'
import InviteForm from './InviteForm.vue'
import LinkNote from './LinkNote.vue'

const cache = useQueryClient()
const link = ref<{ link: string; says: string } | null>(null)
const { data, isPending, error, refetch } = useQuery({
  queryKey: ['departments'],
  queryFn: () => result(api.GET('/api/people/departments')),
})

async function changed(): Promise<void> {
  await refetch()
  await cache.invalidateQueries({ queryKey: ['people'] })
}
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="words.titles.people" />
    <p class="u-quiet">{{ words.people.lead }}</p>
    <WaitFor :pending="isPending" :failure="saidOf(error)" @again="refetch">
      <template v-if="data">
        <LinkNote v-if="link" :key="link.link" v-bind="link" />
        <AccountTable :departments="data" @link="(made) => (link = made)" />
        <div class="rooms">
          <InviteForm :departments="data" @link="(made) => (link = made)" />
          <DepartmentList :departments="data" @changed="changed" />
        </div>
      </template>
    </WaitFor>
  </main>
</template>

<style scoped>
.rooms {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 24rem));
  gap: var(--space-7);
  margin-top: var(--space-6);
}
@media (max-width: 900px) {
  .rooms {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
