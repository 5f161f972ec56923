<script setup lang="ts">
/** The next step at three depths: what to notice, which law, the line itself. */
import { computed, ref, watch } from 'vue'
import { api, result, type Schemas } from '@/api/client'
import { useAction } from '@/api/useAction'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import { words } from '@/texts/en'
import type { Content } from '@/example/content'
import { problemOf } from '@/example/problem'

const props = defineProps<{
  /** The example; its next step is looked for under its last line. */
  content: Content
}>()
const emit = defineEmits<{
  /** The line is to be written. */
  write: [text: string]
}>()

/** 0: nothing shown, 1: what to notice, 2: the law, 3: the line. */
const depth = ref(0)
const step = ref<Schemas['Nudged'] | null>(null)
const action = useAction()

const problem = computed(() => problemOf(props.content))

watch(
  () => JSON.stringify(problem.value),
  () => {
    depth.value = 0
    step.value = null
    action.refusal.value = ''
  },
)

async function deeper(): Promise<void> {
  if (step.value?.done || depth.value === 3) {
    if (step.value?.text) emit('write', step.value.text)
    return
  }
  await action.run(async () => {
    const asked = JSON.stringify(problem.value)
    const found =
      step.value ?? (await result(api.POST('/api/algebra/nudge', { body: problem.value })))
    if (asked !== JSON.stringify(problem.value)) return
    step.value = found
    depth.value += 1
  })
}

const asks = computed(() => words.bench.nudge[depth.value as 0 | 1 | 2 | 3])
defineExpose({ deeper })
</script>

<template>
  <section class="next" aria-live="polite">
    <div class="row">
      <h2>{{ words.bench.nextStep }}</h2>
      <el-tooltip v-if="!step?.done" content="Alt+H" :show-after="400">
        <el-button @click="deeper">{{ asks }}</el-button>
      </el-tooltip>
    </div>
    <FailureNote :message="action.refusal.value" @again="action.again" />
    <p v-if="step?.done">{{ step.says }}</p>
    <template v-else-if="step">
      <p class="notice">{{ step.notice }}</p>
      <p v-if="depth > 1">
        <b>{{ step.law_name }}.</b> <SentenceText :text="step.says" :pieces="step.parts" />
      </p>
      <p v-if="depth > 2 && step.latex" class="formula">
        <MathText :latex="step.latex" :spoken="step.spoken ?? ''" display />
      </p>
    </template>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: var(--space-2);
}
.row h2 {
  margin: 0;
}
.next p {
  margin: var(--space-3) 0 0;
}
.notice {
  font-style: italic;
}
.formula {
  overflow-x: auto;
  padding: var(--space-1) 0;
}
</style>
