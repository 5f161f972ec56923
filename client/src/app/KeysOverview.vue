<script setup lang="ts">
/** The shortcuts of the place one is in, and what the marks on the spine mean. */
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import Stop from '@/spine/Stop.vue'
import type { Mark } from '@/spine/types'
import { words } from '@/texts/en'

const open = defineModel<boolean>({ required: true })

const route = useRoute()
const groups = computed(() => {
  const here = words.keys.places[String(route.name)]
  const everywhere = { title: words.keys.everywhere, list: words.keys.all }
  return here ? [{ title: words.keys.here, list: here }, everywhere] : [everywhere]
})
const SHOWN: readonly Mark[] = [
  'ok',
  'condition',
  'may-add',
  'loses',
  'wrong',
  'parallel',
  'back',
  'unfinished',
  'doubt',
  'side',
  'check',
  'unproved',
]
</script>

<template>
  <el-dialog v-model="open" :title="words.keys.title" width="min(94vw, 58rem)" top="5vh">
    <div class="overview">
      <section v-for="group in groups" :key="group.title">
        <h2>{{ group.title }}</h2>
        <dl>
          <div v-for="[key, says] in group.list" :key="key">
            <dt>
              <kbd>{{ key }}</kbd>
            </dt>
            <dd>{{ says }}</dd>
          </div>
        </dl>
      </section>
      <section class="legend">
        <h2>{{ words.keys.legend }}</h2>
        <p class="u-quiet">
          {{ words.keys.legendSays }}
          <router-link :to="{ name: 'first' }" @click="open = false">{{
            words.first.again
          }}</router-link>
        </p>
        <ul>
          <li v-for="mark in SHOWN" :key="mark">
            <Stop sign="=" :mark="mark" /><span>{{ words.stops[mark] }}</span>
          </li>
        </ul>
      </section>
    </div>
  </el-dialog>
</template>

<style scoped>
.overview {
  display: grid;
  gap: var(--space-5);
  max-height: 76vh;
  overflow-y: auto;
}
dl {
  columns: 22rem auto;
  margin: 0;
}
dl div {
  display: grid;
  break-inside: avoid;
  grid-template-columns: 10.5rem minmax(0, 1fr);
  gap: var(--space-2);
  padding: var(--space-1) 0;
}
dd {
  margin: 0;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  gap: var(--space-3);
}
kbd {
  border: 1px solid var(--edge);
  border-radius: 4px;
  padding: 0.1rem var(--space-2);
  font: inherit;
  font-size: var(--type-note);
}
</style>
