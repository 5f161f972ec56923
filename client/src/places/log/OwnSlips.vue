<script setup lang="ts">
/** The teacher's own slips: lines crossed out on the bench, and keys that were corrected. */
import { useQuery } from '@tanstack/vue-query'
import { api, result } from '@/api/client'
import MathText from '@/shared/math/MathText.vue'
import { readable } from '@/shared/logic/readable'
import { words } from '@/texts/en'

const { data } = useQuery({
  queryKey: ['own-slips'],
  queryFn: () => result(api.GET('/api/log/own-slips')),
})
</script>

<template>
  <section v-if="data && (data.lines.length || data.keys.length)">
    <h2>{{ words.log.ownSlips }}</h2>
    <p class="u-quiet">{{ words.log.ownSlipsSays }}</p>
    <ul>
      <li v-for="one in data.lines" :key="one.example + one.line.text">
        <MathText v-if="one.line.latex" :latex="one.line.latex" :spoken="one.line.spoken" />
        <template v-else>{{ one.line.text }}</template>
        <router-link :to="{ name: 'bench', params: { id: one.example } }">{{
          readable(one.title)
        }}</router-link>
      </li>
      <li v-for="key in data.keys" :key="key.id">
        {{ words.log.corrections(key.count) }}
        <router-link :to="{ name: 'proof', params: { id: key.id } }">{{
          key.title || words.log.errata
        }}</router-link>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  margin-top: var(--space-5);
}
a {
  margin-left: var(--space-3);
}
</style>
