<script setup lang="ts">
/** The schools: for each kind of problem the way that is taught, with a problem worked by it. */
import { onMounted, reactive, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { methodName } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'

type School = Schemas['SchoolOut']
type Name = keyof typeof words.house.schools

const props = defineProps<{
  /** The methods taught. */
  methods: string[]
}>()
const emit = defineEmits<{ choose: [methods: string[]] }>()

const schools = ref<School[]>([])
/** What is shown of each school, worked as the rules are now. */
const worked = reactive<Record<string, Schemas['Worked']>>({})

async function work({ key, task, given }: School): Promise<void> {
  try {
    const body = { task, given, form: [], lines: [], numbers: 'real' as const }
    worked[key] = await result(api.POST('/api/algebra/work', { body }))
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    delete worked[key]
  }
}
watch([() => props.methods, schools], () => schools.value.forEach((school) => void work(school)))

onMounted(async () => {
  try {
    schools.value = await result(api.GET('/api/house/schools'))
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
  }
})

function choose(school: School, method: string): void {
  const others = props.methods.filter((key) => !school.methods.includes(key))
  emit('choose', method ? [...others, method] : others)
}

function isTaught(school: School, method: string): boolean {
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
        <legend>{{ words.house.schools[school.key as Name] ?? school.key }}</legend>
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
