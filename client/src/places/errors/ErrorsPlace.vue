<script setup lang="ts">
/** The error catalogue as a reference: each wrong move beside its right one. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import { words } from '@/texts/en'
import { readable } from '@/shared/logic/readable'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import OwnErrors from './OwnErrors.vue'

const { data, isPending, error, refetch } = useQuery({
  queryKey: ['errors'],
  queryFn: () => result(api.GET('/api/algebra/errors')),
  staleTime: Infinity,
})
const entries = computed<Schemas['ErrorEntry'][]>(() => data.value ?? [])
const wanted = ref('')
const topic = ref('')

const allTopics = computed(() => [...new Set(entries.value.map((entry) => entry.topic))])
const topics = computed(() => {
  const text = wanted.value.toLowerCase()
  const found = entries.value.filter(
    (entry) =>
      (!topic.value || entry.topic === topic.value) &&
      `${entry.name} ${entry.topic} ${entry.why} ${entry.before}`.toLowerCase().includes(text),
  )
  return [...new Set(found.map((entry) => entry.topic))].map((topic) => ({
    topic,
    entries: found.filter((entry) => entry.topic === topic),
  }))
})
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="words.errors.title">
      <template #beside>
        <el-input
          v-model="wanted"
          class="find"
          type="search"
          clearable
          :placeholder="words.errors.filter"
          :aria-label="words.errors.filter"
        />
        <el-select
          v-model="topic"
          class="topic"
          filterable
          :empty-values="[null, undefined]"
          :aria-label="words.errors.topic"
        >
          <el-option value="" :label="words.errors.allTopics" />
          <el-option v-for="name in allTopics" :key="name" :value="name" :label="name" />
        </el-select>
      </template>
    </PageHead>
    <p class="u-quiet">{{ words.errors.lead }}</p>
    <WaitFor :pending="isPending" :failure="saidOf(error)" @again="refetch" />
    <OwnErrors v-if="!wanted && !topic" />
    <p v-if="entries.length && !topics.length">{{ words.errors.none }}</p>
    <section v-for="group in topics" :key="group.topic">
      <h2>{{ group.topic }}</h2>
      <article v-for="entry in group.entries" :key="entry.id" class="entry">
        <h3>{{ entry.name }}</h3>
        <dl class="contrast">
          <div>
            <dt>{{ words.errors.before }}</dt>
            <dd>{{ readable(entry.before) }}</dd>
          </div>
          <div class="wrong">
            <dt>{{ words.errors.wrong }}</dt>
            <dd>{{ readable(entry.wrong) }}</dd>
          </div>
          <div>
            <dt>{{ words.errors.right }}</dt>
            <dd>{{ readable(entry.right) }}</dd>
          </div>
        </dl>
        <p>
          <span class="u-quiet">{{ words.errors.why }}:</span> {{ entry.why }}
          <br />
          <span class="u-quiet">{{ words.errors.repair }}:</span> {{ entry.repair }}
          <template v-if="entry.counter">
            <br />
            <span class="u-quiet">{{ words.errors.refuted }}:</span> {{ readable(entry.counter) }}
          </template>
        </p>
      </article>
    </section>
  </main>
</template>

<style scoped>
.topic {
  width: 15rem;
}
.find {
  width: 16rem;
}
section:not(.owns) > h2 {
  margin-top: var(--space-6);
}
h2::first-letter {
  text-transform: uppercase;
}
.entry {
  display: grid;
  grid-template-columns: 15rem 22rem minmax(0, 1fr);
  gap: var(--space-5);
  align-items: baseline;
  padding: var(--space-3) 0;
  border-bottom: 1px solid var(--rule);
}
.entry h3,
.entry p {
  margin: 0;
  font-size: var(--type-body);
}
.contrast {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--space-4);
  margin: 0;
}
dt {
  font-size: var(--type-small);
  color: var(--quiet);
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
.wrong dd {
  color: var(--leave);
  text-decoration: line-through;
}
</style>
