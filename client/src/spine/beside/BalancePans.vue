<script setup lang="ts">
/** A balance: terms as weights on two pans, what is done to both beneath them; it tips where one side is heavier. */
import type { components } from '@/api/schema'
import MathText from '@/shared/math/MathText.vue'

type Cell = components['schemas']['SideCell']
defineProps<{
  left: readonly Cell[]
  right: readonly Cell[]
  /** −1: the left pan is heavier; 1: the right one; 0: level. */
  tilt: number
  /** What is done to both sides, after `sign`; null where it is not the same. */
  off: components['schemas']['Mathematics'] | null
  sign: string
}>()
</script>

<template>
  <div class="balance" :data-tilt="tilt">
    <div class="beam">
      <div v-for="(pan, index) in [left, right]" :key="index" class="pan">
        <span class="weights">
          <span v-for="(weight, at) in pan" :key="at" class="weight">
            <MathText v-if="weight.math" :latex="weight.math.latex" :spoken="weight.math.spoken" />
          </span>
        </span>
        <span v-if="off" class="off"
          >{{ sign }}<MathText :latex="off.latex" :spoken="off.spoken"
        /></span>
      </div>
    </div>
    <span class="post" aria-hidden="true" />
  </div>
</template>

<style scoped>
.balance {
  display: grid;
  justify-items: center;
  max-width: 24em;
  padding-top: 0.4em;
}
.beam {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 2.4em;
  width: 100%;
  border-bottom: 0.22em solid var(--text);
  border-radius: 0.1em;
}
[data-tilt='-1'] .beam {
  transform: rotate(-6deg);
}
[data-tilt='1'] .beam {
  transform: rotate(6deg);
}
[data-tilt='-1'] + .post,
[data-tilt='1'] + .post {
  border-bottom-color: var(--leave);
}
.post {
  border: 0.9em solid transparent;
  border-top: 0;
  border-bottom: 1.5em solid var(--text);
}
.balance:not([data-tilt='0']) .beam {
  border-color: var(--leave);
}
.balance:not([data-tilt='0']) .post {
  border-bottom-color: var(--leave);
}
.pan {
  display: grid;
  justify-items: center;
  gap: 0.2em;
  align-content: end;
}
.weights {
  display: flex;
  flex-wrap: wrap;
  justify-content: center;
  gap: 0.3em;
}
.weight {
  border: 2px solid var(--text);
  border-radius: 0.3em 0.3em 0 0;
  background: var(--sheet);
  padding: 0.15em 0.5em;
}
.off {
  order: -1;
  color: var(--hand);
  font-weight: 700;
}
</style>
