<script setup lang="ts">
/** Putting problems into a set: of the teacher's examples, typed, or made to order. */
import { computed, ref } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import { words } from '@/texts/en'

const open = defineModel<boolean>({ required: true })
const props = defineProps<{
  /** Examples that stand in the set already. */
  inSet: string[]
  /** Makes problems on the server and takes the changed set; gives how many and why not more. */
  make: (
    body: { text: string } | Schemas['FamilyIn'],
  ) => Promise<{ added: number; refused: string[] }>
}>()
defineEmits<{ add: [example: string] }>()

const way = ref<'own' | 'typed' | 'ordered'>('own')
const wanted = ref('')
const typed = ref('')
const examples = ref<Schemas['ExampleRow'][]>([])
const families = ref<Schemas['FamilyOut'][]>([])
const family = ref('')
const wish = ref<number | ''>('')
const count = ref(3)
const says = ref('')
const refusal = ref('')
const busy = ref(false)

const chosen = computed(() => families.value.find((one) => one.key === family.value))
const offered = computed(() => {
  const text = wanted.value.toLowerCase()
  return examples.value.filter(
    (row) =>
      !props.inSet.includes(row.id) && `${row.title} ${row.given}`.toLowerCase().includes(text),
  )
})

async function opened(): Promise<void> {
  says.value = refusal.value = ''
  examples.value = await result(api.GET('/api/examples'))
  families.value = await result(api.GET('/api/sets/families'))
  family.value ||= families.value[0]?.key ?? ''
}

async function tried(body: Parameters<typeof props.make>[0]): Promise<void> {
  busy.value = true
  try {
    const made = await props.make(body)
    says.value = [words.sets.made(made.added), ...made.refused].join(' ')
    refusal.value = ''
    if ('text' in body && made.added) typed.value = ''
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    says.value = ''
    refusal.value = reason.message
  } finally {
    busy.value = false
  }
}

function order(): Promise<void> {
  const seed = Math.floor(Math.random() * 1e6)
  const number = wish.value === '' ? null : wish.value
  return tried({ family: family.value, wish: number, count: count.value, seed })
}
</script>

<template>
  <el-dialog v-model="open" :title="words.sets.addTitle" width="46rem" @open="opened">
    <p class="ways" role="group">
      <label v-for="name in ['own', 'typed', 'ordered'] as const" :key="name">
        <input v-model="way" type="radio" name="way" :value="name" /> {{ words.sets.ways[name] }}
      </label>
    </p>
    <template v-if="way === 'own'">
      <input
        v-model="wanted"
        class="typed"
        type="search"
        :placeholder="words.examples.filter"
        :aria-label="words.examples.filter"
      />
      <p v-if="!offered.length" class="quiet">{{ words.sets.addNone }}</p>
      <ul class="offered">
        <li v-for="row in offered" :key="row.id">
          <button type="button" @click="$emit('add', row.id)">
            <b>{{ row.title || words.bench.untitled }}</b>
            <span class="quiet">{{ words.tasks[row.task] }}</span>
            <span>{{ readable(row.given) }}</span>
          </button>
        </li>
      </ul>
    </template>
    <form v-else-if="way === 'typed'" @submit.prevent="tried({ text: typed })">
      <p class="quiet">{{ words.sets.typedSays }}</p>
      <textarea v-model="typed" class="typed" rows="9" :aria-label="words.sets.typedLabel" />
      <el-button native-type="submit" type="primary" :disabled="busy || !typed.trim()">
        {{ words.sets.take }}
      </el-button>
    </form>
    <form v-else class="order" @submit.prevent="order">
      <label>
        {{ words.sets.family }}
        <select v-model="family" class="typed">
          <option v-for="one in families" :key="one.key" :value="one.key">{{ one.name }}</option>
        </select>
      </label>
      <label v-if="chosen?.wish">
        {{ words.sets.wish(chosen.wish) }}
        <input v-model.number="wish" type="number" class="typed few" min="-99" max="99" />
      </label>
      <label>
        {{ words.sets.howMany }}
        <input v-model.number="count" type="number" class="typed few" min="1" max="30" />
      </label>
      <el-button native-type="submit" type="primary" :disabled="busy">
        {{ words.sets.take }}
      </el-button>
    </form>
    <p v-if="says" role="status">{{ says }}</p>
    <p v-if="refusal" role="alert" class="warm">{{ refusal }}</p>
  </el-dialog>
</template>

<style scoped>
.ways {
  display: flex;
  gap: 1.4rem;
  margin: 0 0 0.8rem;
}
.order {
  display: grid;
  gap: 0.8rem;
  justify-items: start;
}
.few {
  width: 6rem;
  display: block;
}
textarea {
  font-family: inherit;
  margin-bottom: 0.6rem;
}
.offered {
  list-style: none;
  margin: 0.6rem 0 0;
  padding: 0;
  max-height: 50vh;
  overflow-y: auto;
}
.offered button {
  display: grid;
  grid-template-columns: 15rem 5rem minmax(0, 1fr);
  gap: 0.8rem;
  width: 100%;
  text-align: left;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: none;
  color: inherit;
  font: inherit;
  padding: 0.45rem 0.2rem;
  cursor: pointer;
}
.offered button:hover {
  background: var(--lit);
}
</style>
