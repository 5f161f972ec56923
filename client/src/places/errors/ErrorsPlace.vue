<script setup lang="ts">
/** The error catalogue as a reference: each wrong move beside its right one. */
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import { words } from '@/texts/en'
import { readable } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import Stop from '@/spine/Stop.vue'
import OwnErrors from './OwnErrors.vue'

const { data, isPending, error, refetch } = useQuery({
  queryKey: ['errors'],
  queryFn: () => result(api.GET('/api/algebra/errors')),
  staleTime: Infinity,
})
/** Own errors stand first: until they are here nothing is shown that they would push down. */
const own = useQuery({ queryKey: ['own-errors'], queryFn: () => result(api.GET('/api/errors')) })
const entries = computed<Schemas['ErrorEntry'][]>(() =>
  own.isPending.value ? [] : (data.value ?? []),
)
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
/** Few found ones stand open. */
const isFew = computed(() => topics.value.flatMap((group) => group.entries).length <= 4)
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
    <WaitFor
      :pending="isPending || own.isPending.value"
      :failure="saidOf(error)"
      @again="refetch"
    />
    <OwnErrors v-if="entries.length && !wanted && !topic" />
    <p v-if="entries.length && !topics.length">{{ words.errors.none }}</p>
    <nav v-if="topics.length > 1" class="contents" :aria-label="words.errors.contents">
      <a v-for="(group, at) in topics" :key="group.topic" :href="`#topic-${at}`">
        {{ group.topic }} <small>{{ group.entries.length }}</small>
      </a>
    </nav>
    <section v-for="(group, at) in topics" :id="`topic-${at}`" :key="group.topic">
      <h2>{{ group.topic }}</h2>
      <details v-for="entry in group.entries" :key="entry.id" class="entry" :open="isFew">
        <summary>
          <b>{{ entry.name }}</b>
          <MathText :latex="entry.before_latex" />
          <span class="wrong"
            ><Stop sign="≠" mark="wrong" /><MathText :latex="entry.wrong_latex"
          /></span>
        </summary>
        <dl>
          <dt>{{ words.errors.right }}</dt>
          <dd><MathText :latex="entry.right_latex" /></dd>
          <template v-if="entry.counter">
            <dt>{{ words.errors.refuted }}</dt>
            <dd>{{ readable(entry.counter) }}</dd>
          </template>
          <dt>{{ words.errors.why }}</dt>
          <dd>{{ entry.why }}</dd>
          <dt>{{ words.errors.repair }}</dt>
          <dd>{{ entry.repair }}</dd>
        </dl>
      </details>
    </section>
  </main>
</template>

<style scoped src="./errors-place.css"></style>
