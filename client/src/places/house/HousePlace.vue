<script setup lang="ts">
/** House rules, each with a live example that changes with the choice. */
import { computed } from 'vue'
import { methodName, readable } from '@/shared/logic/readable'
import MathText from '@/shared/math/MathText.vue'
import PageHead from '@/shared/page/PageHead.vue'
import WaitFor from '@/shared/page/WaitFor.vue'
import { words } from '@/texts/en'
import AnswerForms from './AnswerForms.vue'
import RuleChoice from './RuleChoice.vue'
import WorkedSample from './WorkedSample.vue'
import TaughtMethods from './TaughtMethods.vue'
import { useHouse } from './useHouse'

const { rules, root, reading, worked, decimal, decimalText, kept, refusal, again, choose } =
  useHouse()

/** What the kernel says of √(9x²) = 3x by these rules: whether it holds, and when, or where it does not. */
const saidOfRoot = computed(() => {
  const line = root.value?.lines[0]
  const holds = line?.verdict !== 'wrong'
  const why = line?.if?.length ? line.if.map(readable).join(', ') : readable(line?.counter ?? '')
  return [words.stops[holds ? 'condition' : 'wrong'], why].filter(Boolean).join(': ')
})

const READINGS = [
  { value: 'equal', name: words.house.equal, says: words.house.equalSays },
  { value: 'tighter', name: words.house.tighter, says: words.house.tighterSays },
] as const
const RADICALS = [
  { value: 'any', name: words.house.anyLetter, says: words.house.anyLetterSays },
  { value: 'non-negative', name: words.house.nonNegative, says: words.house.nonNegativeSays },
] as const
const DECIMALS = [
  { value: 'point', name: words.house.point, says: '1.5' },
  { value: 'comma', name: words.house.comma, says: words.house.commaSays },
] as const
const DENSITIES = [
  { value: 'fine', name: words.house.fine },
  { value: 'board', name: words.house.board },
  { value: 'key', name: words.house.key },
] as const
const SPELLINGS = [
  { value: 'us', name: words.house.spellings.us },
  { value: 'uk', name: words.house.spellings.uk },
] as const
</script>

<template>
  <main id="main" class="place" tabindex="-1">
    <PageHead :title="words.house.title">
      <template #beside>
        <span class="u-quiet" role="status">{{ kept ? words.house.kept : '' }}</span>
      </template>
    </PageHead>
    <p class="u-quiet">{{ words.house.lead }}</p>
    <WaitFor :pending="!rules" :failure="refusal" @again="again" />
    <template v-if="rules">
      <h2>{{ words.house.groups.reading }}</h2>
      <RuleChoice
        :title="words.house.juxtaposition"
        :choices="READINGS"
        :model-value="rules.juxtaposition"
        @update:model-value="(juxtaposition) => choose({ juxtaposition })"
      >
        <template v-if="reading">
          <figcaption class="u-quiet">{{ words.house.live }}</figcaption>
          <span class="formula"><code>1/2x</code> <MathText :latex="reading.latex" display /></span>
          <span class="u-quiet">{{ reading.spoken }}</span>
        </template>
      </RuleChoice>
      <RuleChoice
        :title="words.house.decimal"
        :choices="DECIMALS"
        :model-value="rules.decimal"
        @update:model-value="(decimal) => choose({ decimal })"
      >
        <template v-if="decimal">
          <figcaption class="u-quiet">{{ words.house.live }}</figcaption>
          <span class="formula">
            <code class="typed-as">{{ decimalText }}</code>
            <MathText :latex="decimal.latex" display />
          </span>
        </template>
      </RuleChoice>
      <RuleChoice
        :title="words.house.density"
        :choices="DENSITIES"
        :model-value="rules.density"
        @update:model-value="(density) => choose({ density })"
      >
        <template v-if="worked">
          <figcaption class="u-quiet">{{ words.house.live }}</figcaption>
          <WorkedSample :worked="worked" />
        </template>
      </RuleChoice>
      <RuleChoice
        :title="words.house.radicals"
        :choices="RADICALS"
        :model-value="rules.radicals"
        @update:model-value="(radicals) => choose({ radicals })"
      >
        <template v-if="root">
          <figcaption class="u-quiet">{{ words.house.live }}</figcaption>
          <span class="formula"><MathText latex="\sqrt{9x^2} = 3x" display /></span>
          <span class="u-quiet">
            {{ saidOfRoot }}
          </span>
        </template>
      </RuleChoice>
      <RuleChoice
        :title="words.house.spelling"
        :choices="SPELLINGS"
        :model-value="rules.spelling ?? 'us'"
        @update:model-value="(spelling) => choose({ spelling })"
      >
        <figcaption class="u-quiet">{{ words.house.live }}</figcaption>
        <span
          >{{ words.tasks.factor }} · {{ words.study.ends }} · {{ methodName('rationalise') }}</span
        >
      </RuleChoice>
      <AnswerForms :rules="rules" @choose="choose" />
      <TaughtMethods :methods="rules.methods ?? []" @choose="(methods) => choose({ methods })" />
    </template>
  </main>
</template>

<style scoped>
.typed-as {
  margin-right: var(--space-5);
}
.formula {
  font-size: var(--type-formula);
}
</style>
