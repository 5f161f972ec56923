<script setup lang="ts">
/** One error to teach again: why it, the class's own line, a contrast, what to say, where it goes. */
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import { written } from '@/shared/logic/dated'
import MathText from '@/shared/math/MathText.vue'
import Stop from '@/spine/Stop.vue'
import { words } from '@/texts/en'
import ContrastPair from '@/spine/ContrastPair.vue'

const props = defineProps<{
  next: Schemas['NextOut']
  /** Lessons of the class that were not begun. */
  planned: Schemas['LessonRow'][]
  busy: boolean
}>()
defineEmits<{ into: [where: 'lesson' | 'set', lesson: string | null] }>()

const NEW = 'new'
const lesson = ref(NEW)
const reasons = computed(() => {
  const { count, of, title, coming, since, taught, trend, seen } = props.next
  const says = words.log.reasons
  return [
    says.made(count, of, title),
    coming ? says.coming(coming) : '',
    says.since(written(since)),
    taught ? says.taught(written(taught), seen ? (words.log.trend[trend] ?? '') : says.unseen) : '',
  ]
    .filter(Boolean)
    .join(' ')
})
</script>

<template>
  <article>
    <h3>{{ next.name }}</h3>
    <p>{{ reasons }}</p>
    <p class="own">
      {{ words.log.own(next.own.count) }}
      <span class="line">
        <Stop class="small" sign="≠" mark="wrong" mute />
        <MathText :latex="next.own.wrong.latex" :spoken="next.own.wrong.spoken" display />
      </span>
      {{ words.log.after }}
      <MathText :latex="next.own.before.latex" :spoken="next.own.before.spoken" />
    </p>
    <ContrastPair v-if="next.contrast" :contrast="next.contrast" />
    <p v-if="next.says">
      <b>{{ words.log.say }}</b> {{ next.says }}
    </p>
    <p class="into">
      <el-select v-if="planned.length" v-model="lesson" :aria-label="words.log.intoLesson">
        <el-option :value="NEW" :label="words.log.intoNew" />
        <el-option
          v-for="one in planned"
          :key="one.id"
          :value="one.id"
          :label="`${one.title}, ${written(one.date)}`"
        />
      </el-select>
      <el-button
        type="primary"
        :disabled="busy"
        @click="$emit('into', 'lesson', lesson === NEW ? null : lesson)"
      >
        {{ words.log.intoLesson }}
      </el-button>
      <el-button :disabled="busy" @click="$emit('into', 'set', null)">
        {{ words.log.intoSet }}
      </el-button>
    </p>
  </article>
</template>

<style scoped>
article {
  display: flex;
  flex-direction: column;
  background: var(--sheet);
  border: 1px solid var(--rule);
  padding: var(--space-4) var(--space-5);
}
h3 {
  margin: 0 0 var(--space-2);
  font-size: var(--type-lead);
}
p {
  margin: 0 0 var(--space-3);
}
.line {
  display: flex;
  align-items: center;
  gap: var(--space-2);
  padding: var(--space-2) 0;
}
.small {
  width: 1.6rem;
  height: 1.6rem;
}
.into {
  display: flex;
  flex-wrap: wrap;
  gap: var(--space-2);
  margin: auto 0 0;
}
.into .el-button + .el-button {
  margin-left: 0;
}
.into .el-select {
  width: 100%;
}
</style>
