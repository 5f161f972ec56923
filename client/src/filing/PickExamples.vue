<script setup lang="ts">
/** The teacher's examples to be put into a set, found by words, kind, skill or error. */
import { refDebounced } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import MoreRows from '@/filing/MoreRows.vue'
import { useListed } from '@/filing/useListed'
import { readable } from '@/shared/logic/readable'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'

const props = defineProps<{
  /** Examples that stand in the set already. */
  inSet: string[]
}>()
defineEmits<{ add: [example: string] }>()

const typed = ref('')
const sought = refDebounced(typed, 200)
const query = computed(() => ({ words: sought.value.trim() }))
const list = useListed<Schemas['ExampleRow'], { words: string }>(
  'examples',
  query,
  (wanted, cursor) =>
    result(api.GET('/api/examples', { params: { query: { ...wanted, cursor } } })),
)
const offered = computed(() => list.rows.value.filter((row) => !props.inSet.includes(row.id)))
</script>

<template>
  <el-input
    v-model="typed"
    type="search"
    clearable
    maxlength="200"
    :placeholder="words.examples.filterHint"
    :aria-label="words.examples.filter"
  />
  <WaitFor :pending="list.pending.value" :failure="list.failure.value" @again="list.again">
    <p v-if="!offered.length && !list.hasMore.value" class="u-quiet" role="status">
      {{ typed.trim() ? words.examples.nothingFound : words.sets.addNone }}
    </p>
    <ul class="offered">
      <li v-for="row in offered" :key="row.id">
        <button type="button" @click="$emit('add', row.id)">
          <b>{{ row.title || readable(row.given) }}</b>
          <span class="u-quiet">{{ words.tasks[row.task] }}</span>
          <span>
            {{ row.title ? readable(row.given) : '' }}
            <small v-if="row.why" class="u-quiet">{{ row.why }}</small>
          </span>
          <span class="hard">{{ row.difficulty }}</span>
        </button>
      </li>
      <li>
        <MoreRows
          :has-more="list.hasMore.value"
          :busy="list.fetchingMore.value"
          @more="list.more"
        />
      </li>
    </ul>
  </WaitFor>
</template>

<style scoped>
.offered {
  list-style: none;
  margin: var(--space-3) 0 0;
  padding: 0;
  max-height: 50vh;
  overflow-y: auto;
}
.offered button {
  display: grid;
  grid-template-columns: 15rem 5rem minmax(0, 1fr) 2.5rem;
  gap: var(--space-4);
  width: 100%;
  text-align: left;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: none;
  color: inherit;
  font: inherit;
  padding: var(--space-2) var(--space-1);
  cursor: pointer;
}
.offered button:hover {
  background: var(--lit);
}
.hard {
  text-align: right;
}
small {
  display: block;
}
</style>
