<script setup lang="ts">
/** The marks of one item: what each line earned or lost, in a sentence; the teacher decides otherwise. */
import { ref } from 'vue'
import type { Schemas } from '@/api/client'
import { words } from '@/texts/en'

const props = defineProps<{ work: Schemas['WorkOut'] }>()
const emit = defineEmits<{ decide: [body: Schemas['DecisionIn']] }>()

const alike = ref(true)
const why = ref('')

/** The mark that was decided last: what is said why is about it. */
const last = ref('')

function decide(key: string, earned: number | null): void {
  last.value = earned === null ? '' : key
  const { item } = props.work
  const others = alike.value && props.work.alike > 0
  emit('decide', { item, key, earned, why: why.value.trim(), alike: others })
}

function explain(): void {
  const mark = props.work.marks.find(({ key, overruled }) => overruled && key === last.value)
  if (mark && mark.why !== why.value.trim()) decide(mark.key, mark.earned)
}
</script>

<template>
  <aside>
    <p class="sum">
      <b>{{
        work.lines.length ? words.papers.earned(work.earned, work.of) : words.papers.missing
      }}</b>
      <span v-if="work.answer_alone" class="u-quiet"> {{ words.papers.alone }}</span>
    </p>
    <ul v-if="work.ask.length" class="asks">
      <li v-for="one in work.ask" :key="one.says">
        <b>{{ words.papers.ask }}:</b> {{ one.says }}
      </li>
    </ul>
    <ul>
      <li
        v-for="mark in work.marks"
        :key="mark.key"
        :data-lost="mark.earned < mark.worth || mark.earned < 0"
      >
        <el-input-number
          class="no-print"
          size="small"
          :controls="false"
          :model-value="mark.earned"
          :min="Math.min(0, mark.worth)"
          :max="Math.max(0, mark.worth)"
          :aria-label="words.papers.markOf(mark.because)"
          @change="
            (now: number | undefined) =>
              now !== undefined && now !== mark.earned && decide(mark.key, now)
          "
        />
        <span>
          <span class="of">/ {{ Math.max(0, mark.worth) }}</span> {{ mark.because }}
          <template v-if="mark.overruled">
            <i>{{ words.papers.overruled }}{{ mark.why ? `: ${mark.why}` : '' }}</i>
            <el-button class="no-print" link type="primary" @click="decide(mark.key, null)">
              {{ words.papers.takeBack }}
            </el-button>
          </template>
        </span>
      </li>
    </ul>
    <div v-if="work.marks.length" class="how no-print">
      <el-input
        v-model="why"
        size="small"
        maxlength="300"
        :placeholder="words.papers.why"
        :aria-label="words.papers.why"
        @change="explain"
      />
      <el-checkbox v-if="work.alike" v-model="alike">
        {{ words.papers.alike(work.alike) }} {{ words.papers.alikeToo }}
      </el-checkbox>
    </div>
  </aside>
</template>

<style scoped>
aside {
  font-size: var(--type-note);
}
.sum {
  margin: 0 0 var(--space-2);
  font-size: var(--type-body);
}
ul {
  list-style: none;
  margin: 0 0 var(--space-3);
  padding: 0;
}
li {
  display: flex;
  gap: var(--space-2);
  align-items: baseline;
  padding: var(--space-1) 0;
}
.asks li {
  display: block;
  border-left: 3px solid var(--leave);
  padding-left: var(--space-2);
}
.el-input-number {
  flex: none;
  width: 2.8rem;
}
.of {
  color: var(--quiet);
}
[data-lost='true'] {
  color: var(--leave);
}
i {
  display: block;
  color: var(--text);
}
.how {
  display: none;
  gap: var(--space-2);
  justify-items: start;
}
aside:focus-within .how {
  display: grid;
}
.how .el-checkbox {
  height: auto;
  white-space: normal;
}
</style>
