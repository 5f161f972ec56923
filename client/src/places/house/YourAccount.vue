<script setup lang="ts">
/** One's own account: another password, and where one is signed in. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import { useAction } from '@/api/useAction'
import { dated } from '@/shared/logic/dated'
import FailureNote from '@/shared/page/FailureNote.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import { browserOf } from './browser'

const cache = useQueryClient()
const places = useQuery({
  queryKey: ['places'],
  queryFn: () => result(api.GET('/api/session/places')),
})
const { data, isPending, error, refetch } = places
const old = ref('')
const fresh = ref('')
const says = ref('')
const changing = useAction()
const leaving = useAction()

async function change(): Promise<void> {
  says.value = ''
  const isDone = await changing.run(async () => {
    const body = { old: old.value, new: fresh.value }
    await result(api.PUT('/api/session/password', { body }))
    await cache.invalidateQueries({ queryKey: ['places'] })
  })
  old.value = ''
  if (!isDone) return
  fresh.value = ''
  says.value = words.account.changed
}

function leave(identity: number | null): Promise<boolean> {
  return leaving.run(async () => {
    if (identity === null) await result(api.DELETE('/api/session/places/others'))
    else {
      const params = { path: { identity } }
      await result(api.DELETE('/api/session/places/{identity}', { params }))
    }
    await cache.invalidateQueries({ queryKey: ['places'] })
  })
}
</script>

<template>
  <section class="account">
    <h2>{{ words.account.title }}</h2>
    <div class="parts">
      <el-form label-position="top" @submit.prevent="change">
        <el-form-item :label="words.account.old">
          <el-input
            v-model="old"
            type="password"
            maxlength="1000"
            autocomplete="current-password"
          />
        </el-form-item>
        <el-form-item :label="words.account.fresh">
          <el-input v-model="fresh" type="password" maxlength="1000" autocomplete="new-password" />
        </el-form-item>
        <el-button
          native-type="submit"
          :disabled="changing.busy.value || !old || fresh.length < 10"
        >
          {{ words.account.change }}
        </el-button>
        <p v-if="says" role="status">{{ says }}</p>
        <FailureNote :message="changing.refusal.value" final />
      </el-form>
      <div>
        <h3>{{ words.account.places }}</h3>
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
        <FailureNote :message="leaving.refusal.value" @again="leaving.again" />
      </div>
    </div>
  </section>
</template>

<style scoped>
.account {
  border-top: 1px solid var(--rule);
  padding-top: var(--space-5);
}
.parts {
  display: grid;
  grid-template-columns: 26rem minmax(0, 1fr);
  gap: var(--space-7);
}
.el-form {
  max-width: 20rem;
}
h3 {
  font-size: var(--type-note);
  color: var(--quiet);
  font-weight: 400;
  margin: 0 0 var(--space-2);
}
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
@media (max-width: 900px) {
  .parts {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
