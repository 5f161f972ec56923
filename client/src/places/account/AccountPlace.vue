<script setup lang="ts">
/** One's own account, in rooms: password, second factor, where one is signed in, the log, leaving. */
import { useUrlSearchParams } from '@vueuse/core'
import { computed } from 'vue'
import { saidOf } from '@/api/queries'
import { current } from '@/api/session'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import AuditRoom from './AuditRoom.vue'
import LeavingRoom from './LeavingRoom.vue'
import MailRoom from './MailRoom.vue'
import PasswordRoom from './PasswordRoom.vue'
import PlacesRoom from './PlacesRoom.vue'
import ProviderRoom from './ProviderRoom.vue'
import SecondFactorRoom from './SecondFactorRoom.vue'
import { useAccount, useAudit, usePlaces } from './useAccount'

const { data, isPending, error, refetch } = useAccount()
/** What stands below these is shown with them, and is not pushed down. */
const [places, audit] = [usePlaces(), useAudit()]
const isWaiting = computed(() => isPending.value || places.isPending.value || audit.isPending.value)
/** What was changed stands in the log, and may have ended other sessions. */
const changed = () => Promise.all([refetch(), places.refetch(), audit.refetch()])
const asked = useUrlSearchParams('history')
const said = computed(() => words.account.said[String(asked['said'] ?? '')] ?? '')
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="words.titles.account">
      <template #beside>
        <span v-if="data" class="u-quiet">
          {{ words.account.who(data.username, data.department, data.administrator) }}
        </span>
      </template>
    </PageHead>
    <p v-if="said" role="status">{{ said }}</p>
    <WaitFor
      :pending="isWaiting"
      :failure="saidOf(error ?? places.error.value ?? audit.error.value)"
      @again="refetch"
    >
      <div v-if="data" class="rooms">
        <div>
          <PasswordRoom v-if="data.password" @changed="changed" />
          <SecondFactorRoom :account="data" @changed="changed" />
          <MailRoom v-if="current?.mails" :account="data" @changed="changed" />
          <ProviderRoom v-if="current?.provider" :account="data" @changed="changed" />
        </div>
        <div>
          <PlacesRoom />
          <AuditRoom />
          <LeavingRoom :account="data" @changed="changed" />
        </div>
      </div>
    </WaitFor>
  </main>
</template>

<style scoped>
.rooms {
  display: grid;
  grid-template-columns: 24rem minmax(0, 1fr);
  gap: var(--space-7);
}
.rooms :deep(section) {
  border-top: 1px solid var(--rule);
  padding: var(--space-4) 0 var(--space-6);
}
.rooms :deep(.el-form) {
  max-width: 20rem;
}
@media (max-width: 900px) {
  .rooms {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
