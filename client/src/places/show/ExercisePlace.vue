<script setup lang="ts">
/** Exercises made of an example's forks, to print: choose the answer, find the mistake; with their key. */
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { contentOf } from '@/example/content'
import { problemOf } from '@/example/problem'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import PrintedPage from '@/shared/page/PrintedPage.vue'
import { words } from '@/texts/en'

const props = defineProps<{
  /** The example's id. */
  id: string
}>()

const example = ref<Schemas['ExampleOut'] | null>(null)
const reads = ref<Schemas['Reading'] | null>(null)
const choices = ref<Schemas['Choices'] | null>(null)
const mistake = ref<Schemas['Mistake'] | null>(null)
/** Why there are no choices, or no planted mistake. */
const noChoices = ref('')
const noMistake = ref('')
const refusal = ref('')
const seed = ref(1)
const shows = ref(true)

async function or<T>(call: Promise<T>, why: typeof refusal): Promise<T | null> {
  why.value = ''
  try {
    return await call
  } catch (reason) {
    if (!(reason instanceof Refusal)) throw reason
    why.value = reason.message
    return null
  }
}

async function load(): Promise<void> {
  const path = { identity: props.id }
  const found = await or(result(api.GET('/api/examples/{identity}', { params: { path } })), refusal)
  if (!found) return
  example.value = found
  const body = { ...problemOf(contentOf(found)), lines: [], seed: seed.value }
  reads.value = await or(
    result(api.POST('/api/algebra/read', { body: { text: body.given } })),
    refusal,
  )
  choices.value = await or(result(api.POST('/api/algebra/choices', { body })), noChoices)
  mistake.value = await or(result(api.POST('/api/algebra/mistake', { body })), noMistake)
}
watch([() => props.id, seed], load, { immediate: true })

const letters = 'ABCDEFGH'
const right = computed(() => choices.value?.choices.findIndex((choice) => choice.right) ?? -1)
</script>

<template>
  <PrintedPage
    :back="{ name: 'bench', params: { id } }"
    :back-to="words.key.back"
    :refusal="refusal"
    :ready="!!example && !!reads"
    :title="example?.title || words.bench.untitled"
    @again="load"
  >
    <template #actions>
      <el-checkbox v-model="shows">{{ words.exercise.withKey }}</el-checkbox>
      <el-button @click="seed += 1">{{ words.exercise.another }}</el-button>
    </template>
    <template v-if="example && reads">
      <section>
        <h2>{{ words.exercise.choose }}</h2>
        <p class="given">
          {{ words.tasks[example.task] }} <MathText :latex="reads.latex" :spoken="reads.spoken" />
        </p>
        <p v-if="noChoices" class="u-quiet">{{ noChoices }}</p>
        <ol v-else-if="choices" class="choices">
          <li v-for="(choice, index) in choices.choices" :key="choice.text">
            <b>{{ letters[index] }}</b>
            <MathText :latex="choice.latex" :spoken="choice.spoken" display />
          </li>
        </ol>
        <dl v-if="choices && shows" class="key">
          <template v-for="(choice, index) in choices.choices" :key="choice.text">
            <dt>{{ letters[index] }}</dt>
            <dd>
              <b v-if="index === right">{{ words.exercise.right }}</b>
              <template v-else>
                {{ choice.name }}: <MathText :latex="choice.wrong_latex ?? ''" />
                <span class="u-quiet"> {{ choice.because }}</span>
              </template>
            </dd>
          </template>
        </dl>
      </section>
      <section>
        <h2>{{ words.exercise.find }}</h2>
        <p v-if="noMistake" class="u-quiet">{{ noMistake }}</p>
        <ol v-else-if="mistake" class="lines">
          <li><MathText :latex="reads.latex" :spoken="reads.spoken" display /></li>
          <li v-for="(line, index) in mistake.lines" :key="index">
            <b>{{ index + 1 }}</b> <MathText :latex="line.latex" :spoken="line.spoken" display />
          </li>
        </ol>
        <p v-if="mistake && shows" class="key">
          <b>{{ words.exercise.at(mistake.mistake_at) }} {{ mistake.name }}.</b>
          {{ mistake.says }}
          <span v-if="mistake.instead_latex">
            {{ words.bench.rightLine }}: <MathText :latex="mistake.instead_latex" />
          </span>
          <SentenceText class="u-quiet" :text="mistake.counter" :pieces="mistake.counter_parts" />
        </p>
      </section>
    </template>
  </PrintedPage>
</template>

<style scoped src="./exercise-place.css"></style>
