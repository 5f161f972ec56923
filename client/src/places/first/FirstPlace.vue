<script setup lang="ts">
/** What an empty account meets first: a sample with a planted error that explains itself, a line to try, the ways on. */
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import EntryLine from '@/entry/EntryLine.vue'
import { useJudging } from '@/example/useJudging'
import SentenceText from '@/shared/math/SentenceText.vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { blank } from '@/example/content'
import SpineLine from '@/spine/SpineLine.vue'
import { words } from '@/texts/en'
import { PLANTED, SAMPLE, STEPS } from './sample'

const step = ref(0)
const content = ref({ ...blank(), ...SAMPLE })
const draft = ref('')
const judging = useJudging(content, draft, ref(false))
const { stops, given, draftStop, failure } = judging
const entry = useTemplateRef<InstanceType<typeof EntryLine>>('entry')

const isTrying = computed(() => step.value === STEPS.length)
const isDone = ref(false)
/** The counterexample that the planted line is refuted by. */
const counter = computed(() => judging.lineAt(PLANTED, SAMPLE.lines[PLANTED] ?? ''))

function forward(): void {
  step.value += 1
}
watch(isTrying, (now) => {
  if (!now) return
  content.value = { ...content.value, lines: SAMPLE.lines.slice(0, PLANTED) }
  void nextTick(() => entry.value?.focus())
})

function keep(): void {
  if (draftStop.value?.mark !== 'ok') return
  content.value = { ...content.value, lines: [...content.value.lines, draft.value] }
  draft.value = ''
  isDone.value = true
}
</script>

<template>
  <main id="main" class="place first" tabindex="-1">
    <h1>{{ words.first.title }}</h1>
    <p class="u-quiet">{{ words.first.lead }}</p>
    <FailureNote :message="failure?.message ?? ''" @again="judging.again" />
    <WaitFor :pending="!given" failure="">
      <div class="both">
        <div class="u-spine sample">
          <SpineLine v-if="given" :line="given" />
          <div
            v-for="(stop, index) in stops"
            :key="index"
            :data-spoken-of="(!isTrying && STEPS[step] === index) || undefined"
          >
            <SpineLine :line="stop" />
          </div>
          <EntryLine
            v-if="isTrying && !isDone"
            ref="entry"
            v-model="draft"
            :stop="draftStop"
            :number="PLANTED + 1"
            :label="words.bench.entryLabel"
            @keep="keep"
          />
        </div>
        <section class="explained" aria-live="polite">
          <template v-if="isDone">
            <h2>{{ words.first.done }}</h2>
            <p>{{ words.first.doneSays }}</p>
          </template>
          <template v-else-if="isTrying">
            <h2>{{ words.first.tryTitle }}</h2>
            <p>{{ words.first.trySays }}</p>
          </template>
          <template v-else>
            <h2>{{ words.first.steps[step]?.title }}</h2>
            <p>{{ words.first.steps[step]?.says }}</p>
            <p v-if="STEPS[step] === PLANTED && step === 2 && counter?.counter" class="counter">
              <SentenceText :text="counter.counter" :pieces="counter.counter_parts" />
            </p>
            <el-button type="primary" autofocus @click="forward">
              {{ words.first.next(step + 1, STEPS.length) }}
            </el-button>
          </template>
        </section>
      </div>
    </WaitFor>
    <nav class="ways" :aria-label="words.first.ways">
      <h2>{{ words.first.ways }}</h2>
      <router-link :to="{ name: 'bench', params: { id: 'new' } }">
        <b>{{ words.first.pose }}</b> {{ words.first.poseSays }}
      </router-link>
      <router-link :to="{ name: 'proofs' }">
        <b>{{ words.first.sheet }}</b> {{ words.first.sheetSays }}
      </router-link>
      <router-link :to="{ name: 'sets' }">
        <b>{{ words.first.set }}</b> {{ words.first.setSays }}
      </router-link>
    </nav>
  </main>
</template>

<style scoped>
.both {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(16rem, 1fr);
  gap: var(--space-7);
  align-items: start;
  margin: var(--space-5) 0 var(--space-6);
}
.sample {
  background: var(--sheet);
  border: 1px solid var(--rule);
  border-radius: var(--round);
  padding: var(--space-4);
}
[data-spoken-of] {
  background: var(--lit);
  box-shadow: inset 3px 0 0 var(--ink);
  border-radius: var(--round);
}
.explained p {
  margin: 0 0 var(--space-4);
  font-size: var(--type-lead);
}
.counter {
  border-left: 3px solid var(--leave);
  padding-left: var(--space-4);
}
.ways {
  display: grid;
  gap: var(--space-3);
}
.ways a b {
  text-decoration: underline;
}
.ways a {
  text-decoration: none;
}
@media (max-width: 900px) {
  .both {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
