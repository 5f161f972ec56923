<script setup lang="ts">
/** The forks of one line, fanned out from where they leave: each with its stop, its error and its end. */
import { ref, watch } from 'vue'
import type { components } from '@/api/schema'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import { words } from '@/texts/en'
import Stop from './Stop.vue'

type Fork = components['schemas']['Fork']
type ForkLine = components['schemas']['LawLine']

const props = defineProps<{
  forks: Fork[]
  /** Fetches the lines that carry a wrong line on; null when no method goes on. */
  carry: (fork: Fork) => Promise<ForkLine[] | null>
  /** What classes did at a fork, in words; '' where none was given this problem. */
  did?: (error: string) => string
}>()

const carried = ref<string | null>(null)
const path = ref<ForkLine[] | null>(null)
watch(
  () => props.forks.map((fork) => fork.wrong).join('\n'),
  () => (carried.value = null),
)

async function show(fork: Fork): Promise<void> {
  if (carried.value === fork.wrong) {
    carried.value = null
    return
  }
  path.value = null
  carried.value = fork.wrong
  const found = await props.carry(fork)
  if (carried.value === fork.wrong) path.value = found
}
</script>

<template>
  <ul class="fan">
    <li v-for="fork in forks" :key="fork.error + fork.wrong" :data-hidden="fork.hidden">
      <span class="curve" aria-hidden="true" />
      <button type="button" class="row" :aria-expanded="carried === fork.wrong" @click="show(fork)">
        <Stop :sign="fork.hidden ? '≈' : '≠'" :mark="fork.hidden ? 'doubt' : 'wrong'" />
        <span class="line"><MathText :latex="fork.wrong_latex" display /></span>
        <span class="words">
          <b>{{ [fork.name, ...(fork.also_names ?? [])].join(words.forks.or) }}</b>
          <span v-if="did?.(fork.error)" class="did">{{ did(fork.error) }}</span>
          <span v-if="fork.crossed_out" class="end">{{ words.forks.crossedOut }}, </span>
          <span class="end">
            <template v-if="fork.hidden">{{ words.forks.hidden }}</template>
            <template v-else-if="fork.ends_in !== fork.wrong">
              {{ words.forks.ends }} <MathText :latex="fork.ends_in_latex" />
            </template>
            <template v-else>{{ words.forks.isEnd }}</template>
          </span>
        </span>
      </button>
      <div v-if="carried === fork.wrong" class="opened">
        <p>{{ fork.because }} <SentenceText :text="fork.counter" :pieces="fork.counter_parts" /></p>
        <p class="tell">{{ fork.says }}</p>
        <ol v-if="path?.length">
          <li v-for="line in path" :key="line.text">
            <Stop class="small" :sign="line.sides.sign" mark="parallel" />
            <MathText :latex="line.latex" :spoken="line.spoken" display />
            <SentenceText class="u-quiet" :text="line.says" :pieces="line.parts" />
          </li>
        </ol>
      </div>
    </li>
  </ul>
</template>

<style scoped src="./fork-fan.css"></style>
