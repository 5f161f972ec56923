<script setup lang="ts">
/** The talk track, to print: for every line what to say, what to ask before it, what to watch for. */
import { ref } from 'vue'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import PrintedPage from '@/shared/page/PrintedPage.vue'
import SideWork from '@/spine/beside/SideWork.vue'
import { words } from '@/texts/en'
import { useExample } from './useExample'

const props = defineProps<{
  /** The example's id. */
  id: string
}>()

const { example, told, drawn, sideWorks, refusal, load } = useExample(() => props.id)
/** What of the board is printed too. */
const draws = ref(true)
const works = ref(false)
const workAt = (line: number) => sideWorks.value.filter((one) => one.line === line)
</script>

<template>
  <PrintedPage
    :back="{ name: 'bench', params: { id } }"
    :back-to="words.key.back"
    :refusal="refusal"
    :ready="!!example && told.length > 0"
    :title="example?.title || words.bench.untitled"
    @again="load"
  >
    <template #actions>
      <el-checkbox v-model="draws">{{ words.give.marks }}</el-checkbox>
      <el-checkbox v-model="works">{{ words.give.beside }}</el-checkbox>
      <router-link :to="{ name: 'show', params: { id } }">{{ words.show.open }}</router-link>
    </template>
    <p v-if="example?.note" class="u-quiet">{{ example.note }}</p>
    <table>
      <thead>
        <tr>
          <th scope="col">{{ words.track.line }}</th>
          <th scope="col">{{ words.track.ask }}</th>
          <th scope="col">{{ words.track.say }}</th>
          <th scope="col">{{ words.track.watch }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, index) in told" :key="index">
          <th scope="row">
            <MathText v-if="line.latex" :latex="line.latex" :spoken="line.spoken ?? line.text" />
            <code v-else>{{ line.text }}</code>
          </th>
          <td>{{ index ? line.ask : '' }}</td>
          <td>
            <template v-if="!index">{{ words.key.given }}</template>
            <template v-else-if="example?.reasons?.[line.text]">{{
              example.reasons[line.text]
            }}</template>
            <SentenceText v-else :text="line.say" :pieces="line.parts" />
            <span v-if="index && line.why" class="u-quiet why">{{ line.why }}</span>
            <span v-if="draws && drawn[index]?.says" class="u-quiet why">
              {{ words.track.draw }}
              <SentenceText :text="drawn[index].says" :pieces="drawn[index].parts" />
            </span>
            <template v-if="works">
              <SideWork v-for="work in workAt(index)" :key="work.says" class="work" :work="work" />
            </template>
          </td>
          <td>
            <p v-for="item in line.watch" :key="item.wrong">
              <b>{{ item.name }}:</b> <MathText :latex="item.wrong_latex" />
              <SentenceText
                v-if="item.counter"
                class="u-quiet counter"
                :text="item.counter"
                :pieces="item.counter_parts"
              />
            </p>
          </td>
        </tr>
      </tbody>
    </table>
  </PrintedPage>
</template>

<style scoped>
.work {
  margin: var(--space-3) 0;
}
table {
  border-collapse: collapse;
  width: 100%;
  font-size: var(--type-note);
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: var(--space-2) var(--space-4) var(--space-2) 0;
  border-bottom: 1px solid var(--rule);
}
thead th {
  color: var(--quiet);
  font-weight: 400;
  font-size: var(--type-small);
}
tbody th {
  font-weight: 400;
  white-space: nowrap;
}
td p {
  margin: 0 0 var(--space-2);
}
.why {
  display: block;
  margin-top: var(--space-1);
}
td p .counter {
  display: block;
}
tr {
  break-inside: avoid;
}
</style>
