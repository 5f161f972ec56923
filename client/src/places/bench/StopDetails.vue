<script setup lang="ts">
/** What is known of the chosen line: its law and condition, or the error behind it. */
import { ref, watch } from 'vue'
import ErrorContrast from '@/example/ErrorContrast.vue'
import MathText from '@/shared/math/MathText.vue'
import SentenceText from '@/shared/math/SentenceText.vue'
import type { CheckedLine, Mark } from '@/spine/types'
import { words } from '@/texts/en'
import { readable } from '@/shared/logic/readable'

/** The own words while they are typed. */
const typed = ref('')
/** The teacher's own words for why the line follows; empty where the recognised reason stands. */
const reason = defineModel<string>('reason', { default: '' })
watch(reason, (text) => (typed.value = text), { immediate: true })
defineProps<{
  /** The chosen line, judged; null when none is chosen. */
  line: CheckedLine | null
  /** Its number, counted from 1. */
  number: number
  mark: Mark | null
  /** Whether it is a line of the example (not the one being typed). */
  isWritten?: boolean
}>()
</script>

<template>
  <section class="details" aria-live="polite">
    <h2>{{ words.bench.details }}</h2>
    <p v-if="!line" class="u-quiet">{{ words.bench.chooseStop }}</p>
    <template v-else>
      <p class="verdict" :data-mark="mark">
        <b>{{ number }} · {{ mark ? words.stops[mark] : '' }}</b>
      </p>
      <p v-if="line.failure">{{ line.failure.message }}</p>
      <p v-if="line.says && line.verdict !== 'unfinished'">
        <SentenceText :text="line.says" :pieces="line.parts" />
      </p>
      <dl>
        <template v-if="line.if?.length">
          <dt>{{ words.bench.condition }}</dt>
          <dd>
            <SentenceText :text="line.if.map(readable).join(', ')" :pieces="line.if_parts" />
          </dd>
        </template>
        <template v-if="line.adds?.length">
          <dt>{{ words.bench.adds }}</dt>
          <dd>{{ line.adds.map(readable).join(', ') }}</dd>
        </template>
        <template v-if="line.drops?.length">
          <dt>{{ words.bench.drops }}</dt>
          <dd>{{ line.drops.map(readable).join(', ') }}</dd>
        </template>
        <template v-if="line.unmet?.length">
          <dt>{{ words.bench.unmet }}</dt>
          <dd>
            {{ line.unmet.join(', ') }}
            <span v-if="line.unmet_at?.length" class="u-quiet">
              ({{ [...new Set(line.unmet_at.map(readable))].join(', ') }})
            </span>
          </dd>
        </template>
        <template v-if="line.note">
          <dt>{{ words.bench.note }}</dt>
          <dd>{{ line.note }}</dd>
        </template>
        <template v-if="line.tested">
          <dt>{{ words.bench.tested }}</dt>
          <dd>{{ line.tested }}</dd>
        </template>
        <template v-if="line.doubt_name">
          <dt>{{ words.stops.doubt }}</dt>
          <dd>{{ words.bench.doubtSays }} {{ line.doubt_name }}.</dd>
        </template>
        <template v-if="line.error && line.verdict !== 'unfinished'">
          <dt class="u-warm">{{ words.bench.errorName }}</dt>
          <dd>
            <b class="u-warm">{{ line.error.name }}</b>
            <span v-if="line.error.also_names?.length" class="also">
              {{ words.bench.orElse }} {{ line.error.also_names.join('; ') }}
            </span>
          </dd>
          <template v-if="line.error.apart">
            <dt>{{ words.bench.apart }}</dt>
            <dd>
              <SentenceText :text="line.error.apart" :pieces="line.error.apart_parts ?? []" />
            </dd>
          </template>
          <template v-if="line.error.instead_latex">
            <dt>{{ words.bench.rightLine }}</dt>
            <dd class="formula"><MathText :latex="line.error.instead_latex" display /></dd>
          </template>
        </template>
        <template v-if="line.copied?.length || line.changed?.length">
          <dt>{{ words.bench.changed }}</dt>
          <dd>{{ [...(line.copied ?? []), ...(line.changed ?? [])].map(readable).join(', ') }}</dd>
        </template>
        <template v-if="line.counter">
          <dt>{{ words.bench.refuted }}</dt>
          <dd class="counter">
            <SentenceText :text="line.counter" :pieces="line.counter_parts" />
          </dd>
        </template>
        <template v-if="line.error">
          <dt>{{ words.bench.tell }}</dt>
          <dd>{{ line.error.says }}</dd>
        </template>
      </dl>
      <section v-if="line.error && line.verdict !== 'unfinished'" class="contrast">
        <h3>{{ words.bench.contrast }}</h3>
        <ErrorContrast :error="line.error.id" />
      </section>
      <label v-if="isWritten && !line.error && !line.failure" class="reason">
        {{ words.bench.ownReason }}
        <el-input
          :model-value="typed"
          maxlength="500"
          :placeholder="line.says ?? ''"
          @update:model-value="(text: string) => (typed = text)"
          @change="(text: string) => (reason = text)"
        />
      </label>
      <template v-if="line.verdict === 'wrong' || line.verdict === 'loses'">
        <p v-if="!line.error" class="u-quiet">
          {{ line.verdict === 'loses' ? words.bench.noNameLost : words.bench.noName }}
        </p>
        <p class="u-quiet">{{ words.bench.carried }}</p>
      </template>
    </template>
  </section>
</template>

<style scoped src="./stop-details.css"></style>
