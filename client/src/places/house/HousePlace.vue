<script setup lang="ts">
/** House rules, each with a live example that changes with the choice. */
import { computed, ref } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import { setDecimal } from '@/shared/math/decimal'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'
import TaughtMethods from './TaughtMethods.vue'

const rules = ref<Schemas['Rules'] | null>(null)
const root = ref<Schemas['Checked'] | null>(null)
const reading = ref<Schemas['Reading'] | null>(null)
const worked = ref<Schemas['Worked'] | null>(null)
const kept = ref(false)
const refusal = ref('')

const decimalExample = ref<Schemas['Reading'] | null>(null)
const decimalText = computed(() =>
  rules.value?.decimal === 'comma' ? 'x = 1,5; x = 2' : 'x = 1.5, x = 2',
)

async function show(): Promise<void> {
  const body = { text: decimalText.value }
  setDecimal(rules.value?.decimal)
  decimalExample.value = await result(api.POST('/api/algebra/read', { body }))
  reading.value = await result(api.POST('/api/algebra/read', { body: { text: '1/2x' } }))
  const rest = { form: [], lines: [], numbers: 'real' as const }
  const under = { ...rest, task: 'simplify' as const, given: 'sqrt(9x^2)', lines: ['3x'] }
  root.value = await result(api.POST('/api/algebra/check', { body: under }))
  const equation = { ...rest, task: 'solve' as const, given: '3(x - 2) = x + 4' }
  worked.value = await result(api.POST('/api/algebra/work', { body: equation }))
}

async function load(): Promise<void> {
  try {
    rules.value = await result(api.GET('/api/house'))
    await show()
  } catch (reason) {
    if (reason instanceof Refusal) refusal.value = reason.message
  }
}
void load()

async function choose(change: Partial<Schemas['Rules']>): Promise<void> {
  if (!rules.value) return
  try {
    rules.value = await result(api.PUT('/api/house', { body: { ...rules.value, ...change } }))
    kept.value = true
    await show()
  } catch (reason) {
    if (reason instanceof Refusal) refusal.value = reason.message
  }
}

const readings = [
  { value: 'equal', name: words.house.equal, says: words.house.equalSays },
  { value: 'tighter', name: words.house.tighter, says: words.house.tighterSays },
] as const
const radicals = [
  { value: 'any', name: words.house.anyLetter, says: words.house.anyLetterSays },
  { value: 'non-negative', name: words.house.nonNegative, says: words.house.nonNegativeSays },
] as const
const decimals = [
  { value: 'point', name: words.house.point, says: '1.5' },
  { value: 'comma', name: words.house.comma, says: words.house.commaSays },
] as const
const densities = [
  { value: 'fine', name: words.house.fine },
  { value: 'board', name: words.house.board },
  { value: 'key', name: words.house.key },
] as const
</script>

<template>
  <main class="page">
    <header class="head">
      <h1>{{ words.house.title }}</h1>
      <span class="quiet" role="status">{{ kept ? words.house.kept : '' }}</span>
    </header>
    <p class="quiet">{{ words.house.lead }}</p>
    <p v-if="refusal" role="alert" class="warm">{{ refusal }}</p>
    <template v-if="rules">
      <section class="rule">
        <fieldset>
          <legend>{{ words.house.juxtaposition }}</legend>
          <label v-for="item in readings" :key="item.value">
            <input
              type="radio"
              name="juxtaposition"
              :checked="rules.juxtaposition === item.value"
              @change="choose({ juxtaposition: item.value })"
            />
            <span
              ><b>{{ item.name }}</b> <span class="quiet">{{ item.says }}</span></span
            >
          </label>
        </fieldset>
        <figure v-if="reading">
          <figcaption class="quiet">{{ words.house.live }}</figcaption>
          <span class="formula"><code>1/2x</code> <MathText :latex="reading.latex" display /></span>
          <span class="quiet">{{ reading.spoken }}</span>
        </figure>
      </section>
      <section class="rule">
        <fieldset>
          <legend>{{ words.house.decimal }}</legend>
          <label v-for="item in decimals" :key="item.value">
            <input
              type="radio"
              name="decimal"
              :checked="rules.decimal === item.value"
              @change="choose({ decimal: item.value })"
            />
            <span
              ><b>{{ item.name }}</b> <span class="quiet">{{ item.says }}</span></span
            >
          </label>
        </fieldset>
        <figure v-if="decimalExample">
          <figcaption class="quiet">{{ words.house.live }}</figcaption>
          <span class="formula"
            ><code class="typed-as">{{ decimalText }}</code>
            <MathText :latex="decimalExample.latex" display
          /></span>
        </figure>
      </section>
      <section class="rule">
        <fieldset>
          <legend>{{ words.house.density }}</legend>
          <label v-for="item in densities" :key="item.value">
            <input
              type="radio"
              name="density"
              :checked="rules.density === item.value"
              @change="choose({ density: item.value })"
            />
            <b>{{ item.name }}</b>
          </label>
        </fieldset>
        <figure v-if="worked">
          <figcaption class="quiet">{{ words.house.live }}</figcaption>
          <MathText latex="3(x-2)=x+4" />
          <MathText v-for="line in worked.lines" :key="line.text" :latex="line.latex" />
        </figure>
      </section>
      <section class="rule">
        <fieldset>
          <legend>{{ words.house.radicals }}</legend>
          <label v-for="item in radicals" :key="item.value">
            <input
              type="radio"
              name="radicals"
              :checked="rules.radicals === item.value"
              @change="choose({ radicals: item.value })"
            />
            <span
              ><b>{{ item.name }}</b> <span class="quiet">{{ item.says }}</span></span
            >
          </label>
        </fieldset>
        <figure v-if="root">
          <figcaption class="quiet">{{ words.house.live }}</figcaption>
          <span class="formula"><MathText latex="\sqrt{9x^2} = 3x" display /></span>
          <span class="quiet">
            {{ words.stops[root.lines[0]?.verdict === 'wrong' ? 'wrong' : 'condition'] }}
            <template v-if="root.lines[0]?.if?.length">
              : {{ root.lines[0].if.map(readable).join(', ') }}
            </template>
            <template v-else-if="root.lines[0]?.counter">
              : {{ readable(root.lines[0].counter) }}
            </template>
          </span>
        </figure>
      </section>
      <TaughtMethods :methods="rules.methods ?? []" @choose="(methods) => choose({ methods })" />
    </template>
  </main>
</template>

<style scoped>
.typed-as {
  margin-right: 1.2rem;
}
.rule {
  display: grid;
  grid-template-columns: 26rem minmax(0, 1fr);
  gap: 2.5rem;
  padding: 1.2rem 0;
  border-top: 1px solid var(--rule);
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.5rem;
  align-content: start;
}
legend {
  font-weight: 700;
  margin-bottom: 0.5rem;
  padding: 0;
}
label {
  display: flex;
  gap: 0.6rem;
  align-items: baseline;
}
label b {
  font-weight: 400;
}
input:checked ~ b,
input:checked ~ span b {
  font-weight: 700;
}
figure {
  margin: 0;
  display: grid;
  gap: 0.5rem;
  justify-items: start;
  align-content: start;
}
.formula {
  font-size: 1.2rem;
}
</style>
