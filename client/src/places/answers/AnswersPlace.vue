<script setup lang="ts">
/** Answers that came in for one example: pasted, grouped, set on its spine; printed or shown without codes. */
import { computed, ref } from 'vue'
import FailureNote from '@/shared/page/FailureNote.vue'
import PrintedPage from '@/shared/page/PrintedPage.vue'
import { words } from '@/texts/en'
import PlacedAnswers from '@/answers/PlacedAnswers.vue'
import { useAnswers } from './useAnswers'

const props = defineProps<{
  /** The example's id. */
  id: string
}>()

const answers = useAnswers(props.id)
const { text, cleared, example, placed, about, isWaiting, refusal, again } = answers
const showsCodes = ref(false)
const hasCodes = computed(() => about.value.some((one) => one.code))
const title = computed(() => words.answers.title(example.value?.title || words.bench.untitled))
</script>

<template>
  <PrintedPage
    :back="{ name: 'bench', params: { id } }"
    :back-to="words.key.back"
    :refusal="placed ? '' : refusal"
    :ready="!!placed"
    :title="title"
    @again="again"
  >
    <template #actions>
      <el-checkbox v-if="hasCodes" v-model="showsCodes" :title="words.answers.codesSays">
        {{ words.answers.codes }}
      </el-checkbox>
    </template>
    <div class="sides">
      <form class="no-print" @submit.prevent>
        <label for="answers">{{ words.answers.paste }}</label>
        <el-input
          id="answers"
          v-model="text"
          type="textarea"
          :rows="14"
          maxlength="40000"
          :placeholder="words.answers.example"
          spellcheck="false"
        />
        <p class="u-quiet">{{ words.answers.pasteSays }}</p>
        <p class="u-quiet">
          {{ words.answers.kept }}
          <el-button v-if="text" link type="primary" @click="answers.clear">
            {{ words.answers.clear }}
          </el-button>
        </p>
        <p v-if="cleared && !text" role="status">
          {{ words.answers.cleared }}
          <el-button link type="primary" @click="answers.bringBack">
            {{ words.answers.restore }}
          </el-button>
        </p>
      </form>
      <div v-if="placed" class="found" :aria-busy="isWaiting">
        <FailureNote :message="refusal" @again="again" />
        <PlacedAnswers
          :placed="placed"
          :codes="about.map((one) => one.code)"
          :shows-codes="showsCodes"
          :given="example?.given ?? ''"
        />
      </div>
    </div>
  </PrintedPage>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 15rem minmax(0, 1fr);
  gap: var(--space-6);
}
.found {
  min-width: 0;
}
.found[aria-busy='true'] {
  opacity: 0.7;
}
label {
  display: block;
  margin-bottom: var(--space-2);
}
@media (max-width: 900px) {
  .sides {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .sides {
    display: block;
  }
}
</style>
