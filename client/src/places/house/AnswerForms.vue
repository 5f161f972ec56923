<script setup lang="ts">
/** How an answer is left and what is said: each convention with a problem, or a sentence, that shows the choice. */
import { useQuery } from '@tanstack/vue-query'
import { computed, watch } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { saidOf } from '@/api/queries'
import { readable } from '@/shared/logic/readable'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import RuleChoice from './RuleChoice.vue'
import WorkedSample from './WorkedSample.vue'
import { useWorked } from './useWorked'

type Convention = Schemas['ConventionOut']
type Key = keyof typeof words.house.conventions

const props = defineProps<{
  /** The rules in force. */
  rules: Schemas['Rules']
}>()
const emit = defineEmits<{ choose: [change: Partial<Schemas['Rules']>] }>()

const { data, error, refetch } = useQuery({
  queryKey: ['conventions'],
  queryFn: () => result(api.GET('/api/house/conventions')),
  staleTime: Infinity,
})
const conventions = computed<Convention[]>(() => data.value ?? [])
const groups = computed(() => [
  {
    title: words.house.groups.answers,
    says: words.house.groupSays.answers,
    listed: conventions.value.filter((one) => one.task),
  },
  {
    title: words.house.groups.wording,
    says: '',
    listed: conventions.value.filter((one) => !one.task),
  },
])
const { worked, workAll } = useWorked()
watch([() => props.rules, conventions], () => workAll(conventions.value), { immediate: true })

const chosen = ({ key, choices }: Convention) => props.rules[key as Key] ?? choices[0] ?? ''

function choicesOf({ key, choices }: Convention) {
  const names: Record<string, string> = words.house.conventions[key as Key].choices
  return choices.map((value) => ({ value, name: names[value] ?? value }))
}

const checksOf = (key: string) => (key === 'checks' ? (worked[key]?.checks ?? []) : [])
</script>

<template>
  <WaitFor :pending="!conventions.length" :failure="saidOf(error)" @again="refetch" />
  <section v-for="group in groups" :key="group.title" class="group">
    <h2>{{ group.title }}</h2>
    <p v-if="group.says" class="u-quiet">{{ group.says }}</p>
    <RuleChoice
      v-for="item in group.listed"
      :key="item.key"
      :title="words.house.conventions[item.key as Key].title"
      :choices="choicesOf(item)"
      :model-value="chosen(item)"
      @update:model-value="(choice) => emit('choose', { [item.key]: choice })"
    >
      <template v-if="item.says.length">
        <figcaption class="u-quiet">{{ words.house.live }}</figcaption>
        <span>“{{ item.says[item.choices.indexOf(chosen(item))] }}”</span>
      </template>
      <template v-else-if="worked[item.key]">
        <WorkedSample :worked="worked[item.key]!" />
        <span v-for="check in checksOf(item.key)" :key="check.value" class="u-quiet">
          {{ words.key.check }}: {{ readable(check.left ?? '') }} =
          {{ readable(check.right ?? '') }}
        </span>
      </template>
    </RuleChoice>
  </section>
</template>

<style scoped>
.group {
  border-top: 1px solid var(--rule);
  padding-top: var(--space-5);
}
</style>
