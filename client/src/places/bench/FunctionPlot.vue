<script setup lang="ts">
/** The graph of the studied function: branches, asymptotes dashed and named, holes open. */
import { computed, ref, watch } from 'vue'
import { api, Refusal, result, type Schemas } from '@/api/client'
import { readable } from '@/shared/logic/readable'
import { words } from '@/texts/en'
import { atX, atY, branchPath, ticks, type Frame } from './plot'

const props = defineProps<{
  /** The function as typed. */
  given: string
}>()

const studied = ref<Schemas['Studied'] | null>(null)
const refused = ref('')

watch(
  () => props.given,
  async (given) => {
    try {
      const body = { task: 'study' as const, given, numbers: 'real' as const, form: [], lines: [] }
      const found = await result(api.POST('/api/algebra/study', { body }))
      if (given !== props.given) return
      studied.value = found
      refused.value = ''
    } catch (refusal) {
      if (!(refusal instanceof Refusal)) throw refusal
      studied.value = null
      refused.value = refusal.message
    }
  },
  { immediate: true },
)

const frame = computed<Frame | null>(() => {
  const window = studied.value?.curve.window
  if (!window) return null
  const [left = -8, right = 8] = window.x
  const [low = -8, high = 8] = window.y
  return { width: 380, height: 340, x: [left, right], y: [low, high] }
})
const marks = computed(() => {
  const found = studied.value?.curve.marks
  if (!found) return null
  const holes = found.holes.map(([x = 0, y = 0]) => ({ x, y }))
  const [slope = 0, height = 0] = found.oblique ?? []
  return { ...found, holes, oblique: found.oblique ? { slope, height } : null }
})
const along = computed(() => {
  const line = marks.value?.oblique
  return (x: number) => (line ? line.slope * x + line.height : 0)
})
const xTicks = computed(() => (frame.value ? ticks(frame.value.x[0], frame.value.x[1]) : []))
const yTicks = computed(() => (frame.value ? ticks(frame.value.y[0], frame.value.y[1]) : []))

function equation(text: string | null | undefined): string {
  return readable(text ?? '').replace('=', ' = ')
}

/** Whether the graph comes from above right of an asymptote: its name stands below then. */
function risesAfter(x: number): boolean {
  const after = studied.value?.curve.branches.find((branch) => (branch[0]?.[0] ?? x) > x)
  return (after?.[0]?.[1] ?? 0) > 0
}

const rows = computed(() => {
  const found = studied.value?.features
  if (!found) return []
  const listed = (values: readonly string[]) => values.map(readable).join(', ')
  const points = (values: readonly (readonly string[])[]) =>
    values.map((point) => `(${point.map(readable).join(', ')})`).join(', ')
  const far = (end: string) => readable(end.replace('infinity', '∞'))
  return [
    [words.study.holes, points(found.holes)],
    [words.study.vertical, found.vertical.map(equation).join(', ')],
    [words.study.horizontal, equation(found.horizontal)],
    [words.study.oblique, equation(found.oblique)],
    [words.study.xIntercepts, listed(found.x_intercepts)],
    [words.study.yIntercept, found.y_intercept ? readable(found.y_intercept) : ''],
    [words.study.ends, `${far(found.end.left)} · ${far(found.end.right)}`],
    [words.study.points, points(found.points.slice(0, 8))],
  ].filter(([, value]) => value)
})
const spoken = computed(() => rows.value.map(([name, value]) => `${name}: ${value}`).join('; '))
</script>

<template>
  <section class="study">
    <h2>{{ words.study.graph }}</h2>
    <p v-if="refused" class="quiet">{{ refused }}</p>
    <template v-if="frame && marks && studied">
      <svg
        :viewBox="`0 0 ${frame.width} ${frame.height}`"
        role="img"
        :aria-label="`${words.study.graph}. ${spoken}`"
      >
        <g class="grid">
          <line
            v-for="x in xTicks"
            :key="`x${x}`"
            :x1="atX(frame, x)"
            :x2="atX(frame, x)"
            y1="0"
            :y2="frame.height"
          />
          <line
            v-for="y in yTicks"
            :key="`y${y}`"
            x1="0"
            :x2="frame.width"
            :y1="atY(frame, y)"
            :y2="atY(frame, y)"
          />
        </g>
        <g class="axes">
          <line x1="0" :x2="frame.width" :y1="atY(frame, 0)" :y2="atY(frame, 0)" />
          <line :x1="atX(frame, 0)" :x2="atX(frame, 0)" y1="0" :y2="frame.height" />
        </g>
        <g class="numbers">
          <text v-for="x in xTicks" :key="x" :x="atX(frame, x)" :y="atY(frame, 0) + 13">
            {{ readable(String(x)) }}
          </text>
          <text
            v-for="y in yTicks"
            :key="y"
            class="beside"
            :x="atX(frame, 0) - 5"
            :y="atY(frame, y) + 4"
          >
            {{ readable(String(y)) }}
          </text>
        </g>
        <g class="asymptotes">
          <template v-for="(x, index) in marks.vertical" :key="x">
            <line :x1="atX(frame, x)" :x2="atX(frame, x)" y1="0" :y2="frame.height" />
            <text :x="atX(frame, x) + 4" :y="risesAfter(x) ? frame.height - 6 : 12">
              {{ equation(studied.features.vertical[index]) }}
            </text>
          </template>
          <template v-if="marks.horizontal !== null">
            <line
              x1="0"
              :x2="frame.width"
              :y1="atY(frame, marks.horizontal)"
              :y2="atY(frame, marks.horizontal)"
            />
            <text x="4" :y="atY(frame, marks.horizontal) - 5">
              {{ equation(studied.features.horizontal) }}
            </text>
          </template>
          <template v-if="marks.oblique">
            <line
              x1="0"
              :x2="frame.width"
              :y1="atY(frame, along(frame.x[0]))"
              :y2="atY(frame, along(frame.x[1]))"
            />
            <text class="beside" :x="frame.width - 4" :y="atY(frame, along(frame.x[1] * 0.82)) - 8">
              {{ equation(studied.features.oblique) }}
            </text>
          </template>
        </g>
        <path
          v-for="(branch, index) in studied.curve.branches"
          :key="index"
          class="branch"
          :d="branchPath(frame, branch)"
        />
        <g class="points">
          <circle
            v-for="x in marks.zeros"
            :key="`z${x}`"
            :cx="atX(frame, x)"
            :cy="atY(frame, 0)"
            r="3.6"
          />
          <circle
            v-if="marks.at_zero !== null"
            :cx="atX(frame, 0)"
            :cy="atY(frame, marks.at_zero)"
            r="3.6"
          />
          <circle
            v-for="hole in marks.holes"
            :key="`h${hole.x}`"
            class="hole"
            :cx="atX(frame, hole.x)"
            :cy="atY(frame, hole.y)"
            r="4.6"
          />
        </g>
      </svg>
      <dl>
        <template v-for="[name, value] in rows" :key="name">
          <dt>{{ name }}</dt>
          <dd>{{ value }}</dd>
        </template>
      </dl>
    </template>
  </section>
</template>

<style scoped>
.study {
  margin-bottom: 1.2rem;
  padding-bottom: 1rem;
  border-bottom: 1px solid var(--rule);
}
svg {
  width: 100%;
  height: auto;
  display: block;
  background: var(--paper);
  border: 1px solid var(--rule);
  border-radius: 4px;
  overflow: hidden;
}
.grid line {
  stroke: var(--rule);
  stroke-width: 0.6;
}
.axes line {
  stroke: var(--quiet);
  stroke-width: 1.1;
}
text {
  font-size: 12px;
  fill: var(--quiet);
  text-anchor: middle;
}
.beside {
  text-anchor: end;
}
.asymptotes line {
  stroke: var(--ink);
  stroke-width: 1.2;
  stroke-dasharray: 6 5;
}
.asymptotes text {
  fill: var(--ink);
  text-anchor: start;
  font-weight: 700;
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
.asymptotes .beside {
  text-anchor: end;
}
.branch {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.2;
  stroke-linejoin: round;
}
.points circle {
  fill: var(--ink);
}
.points .hole {
  fill: var(--paper);
  stroke: var(--ink);
  stroke-width: 2;
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0.2rem 0.8rem;
  margin: 0.8rem 0 0;
  font-size: 0.9rem;
}
dt {
  color: var(--quiet);
}
dd {
  margin: 0;
}
</style>
