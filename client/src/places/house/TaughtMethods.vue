<script setup lang="ts">
/** The schools: for each kind of problem the way that is taught, with a problem worked by it. */
import { useQuery } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import { methodName } from '@/shared/logic/readable'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import RuleChoice from './RuleChoice.vue'
import WorkedSample from './WorkedSample.vue'
import { useWorked } from './useWorked'

type School = Schemas['SchoolOut']
type Name = keyof typeof words.house.schools

const props = defineProps<{
  /** The methods taught. */
  methods: string[]
}>()
const emit = defineEmits<{ choose: [methods: string[]] }>()

const { data, error, refetch } = useQuery({
  queryKey: ['schools'],
  queryFn: () => result(api.GET('/api/house/schools')),
  staleTime: Infinity,
})
const schools = computed<School[]>(() => data.value ?? [])
/** What is shown of each school, worked as the rules are now. */
const { worked, workAll } = useWorked()
watch([() => props.methods, schools], () => workAll(schools.value), { immediate: true })

function choose(school: School, method: string): void {
  const others = props.methods.filter((key) => !school.methods.includes(key))
  emit('choose', method ? [...others, method] : others)
}

/** The method of the school that is taught; '' where none is named. */
function taughtIn(school: School): string {
  return school.methods.find((key) => props.methods.includes(key)) ?? ''
}

function choicesOf(school: School) {
  return ['', ...school.methods].map((value) => ({
    value,
    name: value ? methodName(value) : words.house.noneTaught,
  }))
}
</script>

<template>
  <section class="schools">
    <h2>{{ words.house.taught }}</h2>
    <p class="u-quiet">{{ words.house.taughtLead }}</p>
    <WaitFor :pending="!schools.length" :failure="saidOf(error)" @again="refetch" />
    <RuleChoice
      v-for="school in schools"
      :key="school.key"
      :title="words.house.schools[school.key as Name] ?? school.key"
      :choices="choicesOf(school)"
      :model-value="taughtIn(school)"
      @update:model-value="(method) => choose(school, method)"
    >
      <template v-if="worked[school.key]">
        <WorkedSample :worked="worked[school.key]!" />
      </template>
    </RuleChoice>
  </section>
</template>

<style scoped>
.schools {
  border-top: 1px solid var(--rule);
  padding-top: var(--space-5);
}
</style>
