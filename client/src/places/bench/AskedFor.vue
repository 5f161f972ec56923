<script setup lang="ts">
/** What the problem asks for besides its task: the unknown, the numbers, the form of the answer. */
import { onClickOutside, useEventListener } from '@vueuse/core'
import { computed, ref, useTemplateRef, watch, type ComponentPublicInstance } from 'vue'
import { words } from '@/texts/en'
import type { Content } from '@/example/content'
import OwnRules from '@/example/OwnRules.vue'
import FoldOut from '@/shared/page/FoldOut.vue'

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

/** Closed by Escape, a click outside, or typing on elsewhere. */
const open = ref(false)
const sheet = useTemplateRef<ComponentPublicInstance>('sheet')
const box = () => sheet.value?.$el as HTMLElement | undefined
function close(): void {
  open.value = false
}
onClickOutside(sheet, close)
useEventListener(window, 'keydown', (event) => {
  if (!open.value) return
  const inside = box()?.contains(event.target as Node | null)
  if (event.key === 'Escape') box()?.querySelector('summary')?.focus()
  if (event.key === 'Escape' || !inside) close()
})

/** The letter while it is typed. */
const letter = ref('')
watch(
  () => props.unknown,
  (unknown) => (letter.value = unknown),
  { immediate: true },
)

function solveFor(text: string): void {
  emit('change', { variable: text.trim().slice(0, 3) })
}
</script>

<template>
  <FoldOut ref="sheet" v-model:open="open" class="asked">
    <template #summary>
      {{ words.bench.asked }}<span v-if="summary" class="u-quiet">: {{ summary }}</span>
    </template>
    <div class="sheet">
      <label v-if="isSolving">
        {{ words.bench.askedUnknown }}
        <el-input v-model="letter" class="letter" maxlength="3" @change="solveFor" />
      </label>
      <fieldset>
        <legend>{{ words.bench.askedNumbers }}</legend>
        <el-radio-group
          :model-value="numbers"
          :aria-label="words.bench.askedNumbers"
          @change="(kind: unknown) => emit('change', { numbers: kind as Content['numbers'] })"
        >
          <el-radio v-for="kind in ['real', 'complex'] as const" :key="kind" :value="kind">
            {{ words.bench[kind] }}
          </el-radio>
        </el-radio-group>
      </fieldset>
      <fieldset>
        <legend>{{ words.bench.askedForms }}</legend>
        <el-checkbox-group
          :model-value="form"
          @change="(form: unknown) => emit('change', { form: form as string[] })"
        >
          <el-checkbox v-for="[key, name] in kinds" :key="key" :value="key">{{ name }}</el-checkbox>
        </el-checkbox-group>
      </fieldset>
      <fieldset>
        <legend>{{ words.bench.ownRulesTitle }}</legend>
        <OwnRules :model-value="house" @update:model-value="emit('change', { house: $event })" />
      </fieldset>
    </div>
  </FoldOut>
</template>

<style scoped>
.asked {
  position: relative;
  font-size: var(--type-note);
}
.sheet {
  position: absolute;
  z-index: 5;
  top: 1.7rem;
  left: 0;
  width: 18rem;
  max-height: 62vh;
  overflow-y: auto;
  display: grid;
  gap: var(--space-3);
  padding: var(--space-4) var(--space-4);
  background: var(--sheet);
  border: 1px solid var(--edge);
  border-radius: var(--round);
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  gap: var(--space-1);
}
legend {
  padding: 0;
  color: var(--quiet);
  font-size: var(--type-small);
}
.letter {
  width: 4rem;
}
.el-radio-group,
.el-checkbox-group {
  display: grid;
  justify-items: start;
}
.el-radio,
.el-checkbox {
  --el-radio-font-size: var(--type-note);
  --el-checkbox-font-size: var(--type-note);
  height: auto;
  min-height: var(--space-5);
  margin: 0;
}
</style>
