<script setup lang="ts">
/** The teacher's own errors: listed, added, changed, deleted with a way back. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { api, result, type Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import { useAction } from '@/api/useAction'
import { readable } from '@/shared/logic/readable'
import FailureNote from '@/shared/page/FailureNote.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import ShareButton from '@/sharing/ShareButton.vue'
import { words } from '@/texts/en'
import OwnErrorForm from './OwnErrorForm.vue'

type Own = Schemas['OwnErrorOut']

const cache = useQueryClient()
const { data, isPending, error, refetch } = useQuery({
  queryKey: ['own-errors'],
  queryFn: () => result(api.GET('/api/errors')),
})
const errors = computed<Own[]>(() => data.value ?? [])
/** What is being written: an error's id, 0 for a new one, null for none. */
const asked = useRoute()?.query ?? {}
const writing = ref<number | null>(asked['before'] ? 0 : null)
const deleted = ref<Own | null>(null)
const { refusal, run, again } = useAction()

const changed = () => cache.invalidateQueries({ queryKey: ['own-errors'] })

function kept(): void {
  writing.value = null
  void changed()
}

function remove(own: Own): Promise<boolean> {
  return run(async () => {
    const path = { identity: own.id }
    await result(api.DELETE('/api/errors/{identity}', { params: { path } }))
    deleted.value = own
    await changed()
  })
}

function bringBack({ name, before, after, when, says }: Own): Promise<boolean> {
  return run(async () => {
    await result(api.POST('/api/errors', { body: { name, before, after, when, says } }))
    deleted.value = null
    await changed()
  })
}
</script>

<template>
  <section class="owns" :aria-label="words.errors.own">
    <h2>{{ words.errors.own }}</h2>
    <FailureNote :message="refusal" @again="again" />
    <WaitFor :pending="isPending" :failure="saidOf(error)" @again="refetch">
      <p v-if="!errors.length && writing === null" class="u-quiet">{{ words.errors.ownNone }}</p>
    </WaitFor>
    <template v-for="own in errors" :key="own.id">
      <OwnErrorForm v-if="writing === own.id" :stored="own" @kept="kept" @leave="writing = null" />
      <article v-else class="own-row">
        <h3>{{ own.name }}</h3>
        <p class="rewrite">
          {{ readable(own.before) }} <span aria-hidden="true">⤳</span>
          <span class="u-unseen">{{ words.errors.becomes }}</span>
          <span class="u-warm">{{ readable(own.after) }}</span>
        </p>
        <p class="u-quiet">{{ readable(own.counter) }} {{ own.says }}</p>
        <p>
          <el-button link type="primary" @click="writing = own.id">
            {{ words.bench.edit }}
          </el-button>
          <el-button link type="primary" @click="remove(own)">
            {{ words.bench.remove }}
          </el-button>
          <ShareButton kind="error" :of="String(own.id)" link />
        </p>
      </article>
    </template>
    <p v-if="deleted" role="status">
      {{ words.errors.wasDeleted(deleted.name) }}
      <el-button link type="primary" @click="bringBack(deleted)">
        {{ words.examples.bringBack }}
      </el-button>
    </p>
    <OwnErrorForm
      v-if="writing === 0"
      :stored="null"
      :before="String(asked['before'] ?? '')"
      :after="String(asked['after'] ?? '')"
      @kept="kept"
      @leave="writing = null"
    />
    <el-button v-else @click="writing = 0">{{ words.errors.add }}</el-button>
  </section>
</template>

<style scoped>
.owns {
  margin: var(--space-4) 0 var(--space-6);
}
.own-row {
  display: grid;
  grid-template-columns: 15rem 22rem minmax(0, 1fr) auto;
  gap: var(--space-5);
  align-items: baseline;
  padding: var(--space-2) 0;
  border-bottom: 1px solid var(--rule);
}
.own-row h3,
.own-row p {
  margin: 0;
  font-size: var(--type-body);
}
@media (max-width: 900px) {
  .own-row {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
