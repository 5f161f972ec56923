<script setup lang="ts">
/** The teacher's classes by codes, and what was given to them. */
import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, result } from '@/api/client'
import { saidOf } from '@/api/queries'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import ClassCard from './ClassCard.vue'
import GiveSet from './GiveSet.vue'
import MakeClass from './MakeClass.vue'
import SittingTable from './SittingTable.vue'

const archived = ref(false)
const making = ref(false)
const giving = ref(false)
const cache = useQueryClient()
const list = useQuery({
  queryKey: computed(() => ['classes', archived.value]),
  queryFn: () =>
    result(api.GET('/api/classes', { params: { query: { archived: archived.value } } })),
})
const sittings = useQuery({
  queryKey: ['sittings'],
  queryFn: () => result(api.GET('/api/sittings')),
})
const classes = computed(() => list.data.value ?? [])
const given = computed(() => sittings.data.value ?? [])

async function changed(): Promise<void> {
  making.value = false
  await cache.invalidateQueries({ queryKey: ['classes'] })
  await cache.invalidateQueries({ queryKey: ['sittings'] })
}
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="words.classes.title">
      <el-checkbox v-model="archived">{{ words.classes.archived }}</el-checkbox>
      <el-button :disabled="!classes.length || archived" @click="giving = true">
        {{ words.classes.give }}
      </el-button>
      <el-button type="primary" @click="making = true">{{ words.classes.make }}</el-button>
    </PageHead>
    <p class="u-quiet caution">{{ words.classes.caution }}</p>
    <MakeClass v-if="making" @made="changed" @leave="making = false" />
    <!-- both together: what comes first does not move -->
    <WaitFor
      :pending="list.isPending.value || sittings.isPending.value"
      :failure="saidOf(list.error.value ?? sittings.error.value)"
      @again="changed"
    >
      <p v-if="!classes.length && !making" class="empty">{{ words.classes.none }}</p>
      <ul class="cards">
        <li v-for="one in classes" :key="one.id">
          <ClassCard :row="one" :archived="archived" @changed="changed" />
        </li>
      </ul>
      <section v-if="!archived">
        <h2>{{ words.classes.given }}</h2>
        <p v-if="!given.length" class="u-quiet">{{ words.classes.givenNone }}</p>
        <SittingTable v-else :rows="given" @changed="changed" />
      </section>
    </WaitFor>
    <GiveSet v-model="giving" :classes="classes" />
  </main>
</template>

<style scoped>
.caution {
  max-width: 46rem;
}
.empty {
  max-width: 30rem;
  margin: 3rem auto;
  text-align: center;
}
.cards {
  list-style: none;
  margin: 0 0 var(--space-6);
  padding: 0;
}
</style>
