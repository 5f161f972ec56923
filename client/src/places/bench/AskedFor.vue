<script setup lang="ts">
/** What the problem asks for besides its task: the unknown, the numbers, the form of the answer. */
import { computed } from 'vue'
import { words } from '@/texts/en'
import type { Content } from '@/example/content'
import OwnRules from '@/example/OwnRules.vue'

const props = defineProps<{
  task: Content['task']
  /** The letter that is solved for. */
  unknown: string
  numbers: Content['numbers']
  /** Forms asked for. */
  form: string[]
  /** House rules of this example alone. */
  house: Content['house']
}>()
const emit = defineEmits<{
  change: [asked: Partial<Pick<Content, 'variable' | 'numbers' | 'form' | 'house'>>]
}>()

const isSolving = computed(() => props.task === 'solve')
const ofValues = ['lowest terms', 'rationalised', 'mixed number']
const kinds = computed(() =>
  Object.entries(words.bench.forms).filter(([key]) => !isSolving.value || ofValues.includes(key)),
)
const summary = computed(() => {
  const forms = kinds.value.filter(([key]) => props.form.includes(key)).map(([, name]) => name)
  const among = isSolving.value || props.numbers === 'complex' ? [words.bench[props.numbers]] : []
  const own = Object.keys(props.house).length ? [words.bench.ownRules] : []
  return [...among, ...forms, ...own].join(', ')
})

function letter(event: Event): void {
  emit('change', { variable: (event.target as HTMLInputElement).value.trim().slice(0, 3) })
}

function toggle(kind: string): void {
  const others = props.form.filter((item) => item !== kind)
  emit('change', { form: props.form.includes(kind) ? others : [...others, kind] })
}
</script>

<template>
  <details
    class="asked"
    @keydown.escape="($event.currentTarget as HTMLDetailsElement).open = false"
  >
    <summary>
      {{ words.bench.asked }}<span v-if="summary" class="quiet">: {{ summary }}</span>
    </summary>
    <div class="sheet">
      <label v-if="isSolving">
        {{ words.bench.askedUnknown }}
        <input class="letter" :value="unknown" maxlength="3" @change="letter" />
      </label>
      <fieldset>
        <legend>{{ words.bench.askedNumbers }}</legend>
        <label v-for="kind in ['real', 'complex'] as const" :key="kind">
          <input
            type="radio"
            name="numbers"
            :checked="numbers === kind"
            @change="emit('change', { numbers: kind })"
          />
          {{ words.bench[kind] }}
        </label>
      </fieldset>
      <fieldset>
        <legend>{{ words.bench.askedForms }}</legend>
        <label v-for="[key, name] in kinds" :key="key">
          <input type="checkbox" :checked="form.includes(key)" @change="toggle(key)" />
          {{ name }}
        </label>
      </fieldset>
      <fieldset>
        <legend>{{ words.bench.ownRulesTitle }}</legend>
        <OwnRules :model-value="house" @update:model-value="emit('change', { house: $event })" />
      </fieldset>
    </div>
  </details>
</template>

<style scoped>
.asked {
  position: relative;
  font-size: 0.9rem;
}
summary {
  cursor: pointer;
}
.sheet {
  position: absolute;
  z-index: 5;
  top: 1.7rem;
  left: 0;
  width: 17rem;
  display: grid;
  gap: 0.7rem;
  padding: 0.8rem 1rem;
  background: var(--sheet);
  border: 1px solid var(--edge);
  border-radius: 6px;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.25rem;
}
legend {
  padding: 0;
  color: var(--quiet);
  font-size: 0.82rem;
}
.letter {
  width: 3rem;
  font: inherit;
  padding: 0.1rem 0.3rem;
  border: 1px solid var(--edge);
  border-radius: 4px;
}
</style>
