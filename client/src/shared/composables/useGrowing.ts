/** A long list is drawn in parts: what is in sight at once, the rest in the next moments. */
import { useTimeoutFn } from '@vueuse/core'
import { ref, watch, type Ref } from 'vue'

/** Rows that fill a screen. */
export const FIRST = 10
/** So many times as many rows are drawn with each further part. */
const MORE = 4

/** Return how many of `count` rows are drawn now: few when the list is entered, then all, and what is added. */
export function useGrowing(count: () => number): Ref<number> {
  const drawn = ref(FIRST)
  const grow = () => (drawn.value = drawn.value * MORE < count() ? drawn.value * MORE : Infinity)
  const later = useTimeoutFn(grow, 0, { immediate: false })
  watch([count, drawn], () => drawn.value < count() && later.start(), {
    immediate: true,
    flush: 'post',
  })
  return drawn
}
