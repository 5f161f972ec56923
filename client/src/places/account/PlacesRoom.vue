<script setup lang="ts">
/** Where one is signed in, and signing out there. */
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import { useAction } from '@/api/useAction'
import { dated } from '@/shared/logic/dated'
import FailureNote from '@/shared/page/FailureNote.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import { browserOf } from './browser'
import { usePlaces } from './useAccount'

const { data, isPending, error, refetch } = usePlaces()
const { refusal, run, again } = useAction()

function leave(identity: number | null): Promise<boolean> {
  return run(async () => {
    if (identity === null) await result(api.DELETE('/api/session/places/others'))
    else {
      const params = { path: { identity } }
      await result(api.DELETE('/api/session/places/{identity}', { params }))
    }
    await refetch()
  })
}
</script>

<template>
  <section>
    <h2>{{ words.account.places }}</h2>
    <WaitFor :pending="isPending" :failure="saidOf(error)" @again="refetch">
      <ul>
        <li v-for="place in data" :key="place.id">
          {{ browserOf(place.browser) }}
          <span class="u-quiet">{{ words.account.since(dated(place.since)) }}</span>
          <b v-if="place.here">{{ words.account.here }}</b>
          <el-button v-else link type="primary" @click="leave(place.id)">
            {{ words.account.leave }}
          </el-button>
        </li>
      </ul>
      <el-button v-if="(data?.length ?? 0) > 1" @click="leave(null)">
        {{ words.account.leaveOthers }}
      </el-button>
    </WaitFor>
    <FailureNote :message="refusal" @again="again" />
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0 0 var(--space-4);
  padding: 0;
}
li {
  display: flex;
  gap: var(--space-4);
  align-items: baseline;
}
</style>
