<script setup lang="ts">
/** Those who left at one stop by the same error, or stopped there; a line that nobody knows can be named. */
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import MathText from '@/shared/math/MathText.vue'
import Stop from '@/spine/Stop.vue'
import type { Mark } from '@/spine/types'
import { words } from '@/texts/en'

const props = defineProps<{
  leaving: Schemas['SpineLeaving']
  /** How many, in words. */
  says: string
  /** Their codes; '' where they are not shown. */
  codes: string
  mark: Mark
  /** Whether no error is known for it. */
  nameless?: boolean
  busy: boolean
}>()
const emit = defineEmits<{ name: [name: string] }>()

const naming = ref(false)
const name = ref('')
const ends = computed(() =>
  props.leaving.ends.filter(({ text }) => text !== props.leaving.line.text),
)

function tell(): void {
  emit('name', name.value.trim())
  naming.value = false
}
</script>

<template>
  <li :data-mark="mark">
    <Stop class="small" :sign="mark === 'wrong' ? '≠' : '='" :mark="mark" mute />
    <span>
      <MathText
        v-if="leaving.line.latex"
        :latex="leaving.line.latex"
        :spoken="leaving.line.spoken"
      />
      <template v-else>{{ leaving.line.text }}</template>
    </span>
    <span class="says">
      <b>{{ says }}</b> {{ leaving.name }}
      <template v-if="ends.length">→ {{ `${words.passing.ended} ` }}</template>
      <span v-for="(end, index) in ends" :key="end.text" class="end">
        <MathText v-if="end.latex" :latex="end.latex" :spoken="end.spoken" />
        <template v-else>{{ end.text }}</template><template
          v-if="end.count < leaving.students.length"
        >
          ({{ end.count }})</template
        ><template v-if="index < ends.length - 1">, </template>
      </span>
      <template v-if="leaving.parallel"> ({{ words.passing.parallel(leaving.parallel) }})</template>
      <span v-if="codes" class="u-quiet"> {{ codes }}</span>
      <el-button
        v-if="nameless && !naming"
        class="no-print"
        link
        type="primary"
        :title="words.passing.nameSays"
        @click="naming = true"
        >{{ words.passing.name }}</el-button
      >
    </span>
    <form v-if="naming" class="says no-print" @submit.prevent="tell">
      <el-input v-model="name" maxlength="200" :aria-label="words.passing.name" autofocus />
      <el-button native-type="submit" :disabled="busy || !name.trim()">{{
        words.passing.nameIt
      }}</el-button>
    </form>
  </li>
</template>

<style scoped src="@/answers/leaving.css"></style>
<style scoped>
li[data-mark='unfinished']::before {
  border-color: var(--ink);
}
li[data-mark='wrong'] b {
  color: var(--leave);
}
.end {
  white-space: nowrap;
}
form {
  display: flex;
  gap: var(--space-2);
  max-width: 24rem;
}
</style>
