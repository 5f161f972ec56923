<script setup lang="ts">
/** The schools: for each kind of problem the way that is taught, with a problem worked by it. */
import { reactive, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { methodName } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'

type Task = Schemas['ProblemIn']['task']
type School = keyof typeof words.house.schools

const props = defineProps<{
  /** The methods taught. */
  methods: string[]
}>()
const emit = defineEmits<{ choose: [methods: string[]] }>()

const schools: { key: School; task: Task; given: string; methods: string[] }[] = [
  {
    key: 'linear',
    task: 'solve',
    given: '4x - 6 = 2x + 10',
    methods: ['simplify-both-sides-then-undo', 'divide-every-term-first'],
  },
  {
    key: 'fractions',
    task: 'solve',
    given: 'x/2 + 1 = x/3 + 4',
    methods: ['clear-fractions', 'keep-fractions', 'simplify-both-sides-then-undo'],
  },
  {
    key: 'quadratic',
    task: 'solve',
    given: 'x^2 - 6x + 8 = 0',
    methods: ['factor-and-zero-product', 'complete-the-square', 'quadratic-formula'],
  },
  {
    key: 'trinomial',
    task: 'factor',
    given: '6x^2 + 7x - 3',
    methods: ['split-middle-and-group', 'divide-and-reduce'],
  },
  {
    key: 'root',
    task: 'simplify',
    given: 'sqrt(72)',
    methods: ['largest-square-factor', 'prime-factorisation'],
  },
  {
    key: 'below',
    task: 'simplify',
    given: '6/sqrt(12)',
    methods: ['simplify-then-rationalise', 'combine-then-rationalise'],
  },
  {
    key: 'rational',
    task: 'solve',
    given: '2/x + 1/3 = 1',
    methods: ['multiply-by-lcd', 'common-denominators'],
  },
  {
    key: 'complex',
    task: 'simplify',
    given: '(1 + 1/x)/(1 - 1/x)',
    methods: ['combine-then-divide', 'multiply-through-by-lcd'],
  },
]
/** What is shown of each school, worked as the rules are now. */
const worked = reactive<Partial<Record<School, Schemas['Worked']>>>({})

async function work({ key, task, given }: (typeof schools)[number]): Promise<void> {
  try {
    const body = { task, given, form: [], lines: [], numbers: 'real' as const }
    worked[key] = await result(api.POST('/api/algebra/work', { body }))
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    delete worked[key]
  }
}
watch(
  () => props.methods,
  () => schools.forEach((school) => void work(school)),
  { immediate: true },
)

function choose(school: (typeof schools)[number], method: string): void {
  const others = props.methods.filter((key) => !school.methods.includes(key))
  emit('choose', method ? [...others, method] : others)
}

function isTaught(school: (typeof schools)[number], method: string): boolean {
  if (method) return props.methods.includes(method)
  return !school.methods.some((key) => props.methods.includes(key))
}
</script>

<template>
  <section class="schools">
    <h2>{{ words.house.taught }}</h2>
    <p class="quiet">{{ words.house.taughtLead }}</p>
    <div v-for="school in schools" :key="school.key" class="school">
      <fieldset>
        <legend>{{ words.house.schools[school.key] }}</legend>
        <label v-for="method in ['', ...school.methods]" :key="method">
          <input
            type="radio"
            :name="school.key"
            :checked="isTaught(school, method)"
            @change="choose(school, method)"
          />
          <b>{{ method ? methodName(method) : words.house.noneTaught }}</b>
        </label>
      </fieldset>
      <figure v-if="worked[school.key]">
        <MathText :latex="worked[school.key]?.reads.latex ?? ''" />
        <MathText v-for="line in worked[school.key]?.lines" :key="line.text" :latex="line.latex" />
      </figure>
    </div>
  </section>
</template>

<style scoped>
.schools {
  border-top: 1px solid var(--rule);
  padding-top: 1.2rem;
}
.school {
  display: grid;
  grid-template-columns: 26rem minmax(0, 1fr);
  gap: 2.5rem;
  padding: 0.8rem 0;
  border-top: 1px dotted var(--rule);
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 0.3rem;
  align-content: start;
}
legend {
  font-weight: 700;
  padding: 0;
  margin-bottom: 0.3rem;
}
label {
  display: flex;
  gap: 0.6rem;
  align-items: baseline;
}
label b {
  font-weight: 400;
}
input:checked ~ b {
  font-weight: 700;
}
figure {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 0.3rem 1.6rem;
  align-items: center;
}
</style>
