<script setup lang="ts">
/** The error catalogue as a reference: each wrong move beside its right one. */
import { computed, ref } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { words } from '@/texts/en'
import { readable } from '@/shared/logic/readable'
import OwnErrors from './OwnErrors.vue'

const entries = ref<Schemas['ErrorEntry'][]>([])
const wanted = ref('')
const topic = ref('')
const refusal = ref('')

result(api.GET('/api/algebra/errors')).then(
  (found) => (entries.value = found),
  (reason) => (refusal.value = reason instanceof Refusal ? reason.message : ''),
)

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
  <main class="page">
    <header class="head">
      <h1>{{ words.errors.title }}</h1>
      <input
        v-model="wanted"
        class="typed find"
        type="search"
        :placeholder="words.errors.filter"
        :aria-label="words.errors.filter"
      />
      <select v-model="topic" class="typed topic" :aria-label="words.errors.topic">
        <option value="">{{ words.errors.allTopics }}</option>
        <option v-for="name in allTopics" :key="name" :value="name">{{ name }}</option>
      </select>
    </header>
    <p class="quiet">{{ words.errors.lead }}</p>
    <p v-if="refusal" role="alert" class="warm">{{ refusal }}</p>
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
          <span class="quiet">{{ words.errors.why }}:</span> {{ entry.why }}
          <br />
          <span class="quiet">{{ words.errors.repair }}:</span> {{ entry.repair }}
          <template v-if="entry.counter">
            <br />
            <span class="quiet">{{ words.errors.refuted }}:</span> {{ readable(entry.counter) }}
          </template>
        </p>
      </article>
    </section>
  </main>
</template>

<style scoped>
.topic {
  width: auto;
}
.find {
  width: 16rem;
  margin-left: 1.5rem;
}
section:not(.owns) > h2 {
  margin-top: 1.6rem;
}
h2::first-letter {
  text-transform: uppercase;
}
.entry {
  display: grid;
  grid-template-columns: 15rem 22rem minmax(0, 1fr);
  gap: 1.2rem;
  align-items: baseline;
  padding: 0.6rem 0;
  border-bottom: 1px solid var(--rule);
}
.entry h3,
.entry p {
  margin: 0;
  font-size: 0.95rem;
}
.contrast {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 0.8rem;
  margin: 0;
}
dt {
  font-size: 0.78rem;
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
