<script setup lang="ts">
/** One item of a proofed key: its lines at their stops, what does not hold, and what should stand there. */
import { computed, ref } from 'vue'
import type { Schemas } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import Stop from '@/spine/Stop.vue'
import type { Mark } from '@/spine/types'
import { words } from '@/texts/en'
import ItemReading from './ItemReading.vue'

const accepted = defineModel<boolean>('accepted', { required: true })
const props = defineProps<{
  item: Schemas['ProofItem']
  /** Its place in the key, from 1: its name where it has no number. */
  place: number
  /** The name of the item that it repeats; empty for none. */
  repeated: string
  /** Whether it is a sheet that is looked over, not a key that is proofed. */
  isSheet?: boolean
  busy?: boolean
}>()
const emit = defineEmits<{
  /** The item is to be read as these. */
  reread: [items: Schemas['KeyItemIn'][]]
  /** It belongs to the item above. */
  join: []
}>()
const reading = ref(false)

const name = computed(() => props.item.number || String(props.place))
const fails = computed(() => !['holds', 'undecided'].includes(props.item.status))
const mended = computed(() =>
  props.item.status === 'no-answer' && props.item.answer
    ? [props.item.answer]
    : (props.item.correction ?? []),
)

/** After a line that leaves, what follows runs parallel. */
function markOf(index: number, verdict: string, role = 'chain'): Mark {
  const left =
    props.item.lines?.findIndex((line) => ['wrong', 'loses'].includes(line.verdict)) ?? -1
  if (verdict === 'unread') return 'waiting'
  if (role !== 'chain' && verdict === 'ok') return role as Mark
  if (left >= 0 && index > left && verdict === 'ok') return 'parallel'
  return verdict as Mark
}
</script>

<template>
  <li class="item" :data-status="item.status">
    <span class="number">{{ name }}</span>
    <div class="said">
      <p class="given">
        <span class="u-quiet">{{ item.task ? words.tasks[item.task as 'solve'] : '' }}</span>
        <MathText v-if="item.latex" :latex="item.latex" display />
        <code v-else>{{ item.given }}</code>
      </p>
      <ul v-if="item.lines?.length" class="lines">
        <li v-for="(line, index) in item.lines" :key="index">
          <Stop
            v-if="line.role !== 'remark' && line.role !== 'operation'"
            sign=""
            :mark="markOf(index, line.verdict, line.role)"
          />
          <MathText v-if="line.latex" :latex="line.latex" display />
          <i v-else-if="line.role === 'remark' || line.role === 'operation'" class="u-quiet">{{
            readable(line.text)
          }}</i>
          <code v-else>{{ line.text }}</code>
          <i v-if="line.latex && line.remark" class="u-quiet">{{ line.remark }}</i>
        </li>
      </ul>
      <ul v-if="item.options?.length" class="options">
        <li v-for="option in item.options" :key="option.letter" :data-right="option.right">
          <b>{{ option.letter }})</b> {{ readable(option.text) }}
          <span v-if="option.right" class="u-quiet">{{ words.proofs.right }}</span>
          <span v-else-if="option.name" class="u-quiet"
            >{{ words.proofs.stands }}: {{ option.name }}</span
          >
          <span v-else-if="option.failure" class="u-warm">{{ option.failure.message }}</span>
        </li>
      </ul>
      <p v-for="note in item.notes" :key="note" class="u-quiet">{{ note }}</p>
    </div>
    <div class="found">
      <p>
        <b
          v-if="!(isSheet && item.status === 'no-answer')"
          :class="{ 'u-warm': item.status === 'wrong' }"
          >{{ words.proofs.statuses[item.status] }}</b
        >
        <span v-if="item.line && fails && (item.lines?.length ?? 0) > 1" class="u-quiet at">
          {{ words.proofs.line(item.line) }}
        </span>
      </p>
      <p v-if="item.name">
        <b>{{ item.name }}.</b> {{ item.says }}
        <span v-if="item.counter" class="u-quiet">{{ item.counter }}</span>
      </p>
      <p v-if="item.message">{{ item.message }}</p>
      <p v-for="fault in item.faults" :key="fault" class="u-warm">{{ fault }}</p>
      <p v-if="item.missing?.length">
        {{ words.proofs.missing }}: {{ item.missing.map(readable).join(', ') }}
      </p>
      <p v-if="item.extra?.length">
        {{ words.proofs.extra }}: {{ item.extra.map(readable).join(', ') }}
      </p>
      <p v-if="item.unmet?.length">{{ words.proofs.unmet }}: {{ item.unmet.join(', ') }}</p>
      <div v-if="mended.length" class="mended">
        <span class="u-quiet">
          {{ item.status === 'no-answer' ? words.proofs.answer : words.proofs.should }}
        </span>
        <ol>
          <li v-for="(line, index) in mended" :key="index">
            <MathText v-if="item.correction_latex?.[index]" :latex="item.correction_latex[index]" />
            <template v-else>{{ readable(line) }}</template>
          </li>
        </ol>
        <el-checkbox v-model="accepted" class="no-print">{{ words.proofs.accept }}</el-checkbox>
      </div>
      <p v-if="item.reading">{{ item.reading }}</p>
      <el-button link type="primary" class="no-print" @click="reading = !reading">
        {{ words.proofs.correct }}
      </el-button>
      <p v-if="item.repeats" class="u-quiet">
        {{ words.proofs.repeats(repeated, item.repeats.how) }}
      </p>
    </div>
    <ItemReading
      v-if="reading"
      :item="item"
      :joinable="place > 1"
      :busy="!!busy"
      @keep="(items) => ((reading = false), emit('reread', items))"
      @join="((reading = false), emit('join'))"
      @leave="reading = false"
    />
  </li>
</template>

<style scoped src="./proof-item.css"></style>
