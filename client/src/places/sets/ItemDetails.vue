<script setup lang="ts">
/** About one problem of a set: its answer, why it is hard, what it reveals; more like it. */
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import { methodName } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import { words } from '@/texts/en'

/** Other numbers only; so that a wrong route works out too; from easier to harder. */
export type Likeness = 'twins' | 'tempting' | 'climbing'

const instruction = defineModel<string>('instruction', { required: true })
defineProps<{
  /** Its number on the sheet, from 1. */
  number: number
  count: number
  example: string
  facts: Schemas['Facts'] | undefined
  /** Whether problems are being made. */
  busy: boolean
}>()
defineEmits<{
  move: [by: number]
  remove: []
  /** More like it are wanted: so many, of this kind. */
  more: [count: number, kind: Likeness]
}>()

const wanted = ref(3)
</script>

<template>
  <section>
    <h2>{{ words.sets.chosen(number) }}</h2>
    <p v-if="facts?.refused" class="u-quiet">{{ facts.refused }}</p>
    <dl v-if="facts?.answer">
      <dt>{{ words.sets.answer }}</dt>
      <dd><MathText :latex="facts.answer_latex ?? ''" /></dd>
      <template v-if="facts.difficulty">
        <dt>{{ words.sets.reasons }}</dt>
        <dd>
          <b>{{ words.sets.hard(facts.difficulty.score) }}</b>
          ({{ facts.difficulty.score }}): {{ facts.difficulty.reasons.join(', ') }}
        </dd>
      </template>
      <template v-if="facts.method">
        <dt>{{ words.sets.skills }}</dt>
        <dd>{{ methodName(facts.method) }}</dd>
      </template>
      <template v-if="facts.reveals?.length">
        <dt>{{ words.sets.reveals }}</dt>
        <dd v-for="error in facts.reveals" :key="error.error">{{ error.name }}</dd>
      </template>
      <template v-if="facts.hides?.length">
        <dt class="u-warm">{{ words.sets.hides }}</dt>
        <dd v-for="error in facts.hides" :key="error.error">{{ error.name }}</dd>
      </template>
    </dl>
    <label class="own">
      {{ words.sets.itemInstruction }}
      <el-input v-model="instruction" maxlength="300" />
    </label>
    <p class="actions">
      <el-button :disabled="number === 1" @click="$emit('move', -1)">{{ words.sets.up }}</el-button>
      <el-button :disabled="number === count" @click="$emit('move', 1)">
        {{ words.sets.down }}
      </el-button>
      <el-button @click="$emit('remove')">{{ words.sets.remove }}</el-button>
      <router-link :to="{ name: 'bench', params: { id: example } }">
        {{ words.rail.bench }}
      </router-link>
    </p>
    <h3>{{ words.sets.like }}</h3>
    <p class="actions">
      <el-input-number
        v-model="wanted"
        class="few"
        :min="1"
        :max="30"
        controls-position="right"
        :title="words.sets.howMany"
        :aria-label="words.sets.howMany"
      />
      <el-button
        :disabled="busy"
        :title="`${words.sets.twinsSays} Alt+T`"
        @click="$emit('more', wanted, 'twins')"
      >
        {{ words.sets.twins }}
      </el-button>
      <el-button
        :disabled="busy"
        :title="words.sets.temptingSays"
        @click="$emit('more', wanted, 'tempting')"
      >
        {{ words.sets.tempting }}
      </el-button>
      <el-button :disabled="busy" @click="$emit('more', wanted, 'climbing')">
        {{ words.sets.run }}
      </el-button>
    </p>
  </section>
</template>

<style scoped>
dl {
  margin: var(--space-2) 0;
}
dt {
  color: var(--quiet);
  font-size: var(--type-small);
  margin-top: var(--space-3);
}
dd {
  margin: 0.1rem 0 0;
}
h3 {
  font-size: var(--type-note);
  margin: var(--space-4) 0 var(--space-1);
}
.own {
  display: block;
  margin: var(--space-4) 0;
  font-size: var(--type-small);
  color: var(--quiet);
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  align-items: center;
  margin: var(--space-1) 0;
}
.actions .el-button + .el-button {
  margin-left: 0;
}
.few {
  width: 5rem;
}
</style>
