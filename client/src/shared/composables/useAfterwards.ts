/** What is below the first screen is drawn in the moment after it. */
import { useTimeoutFn } from '@vueuse/core'
import { ref, watch, type Ref } from 'vue'

/** Return whether the rest is drawn: false until `isThere`, then true a moment later, for good. */
export function useAfterwards(isThere: () => boolean): Ref<boolean> {
  const isDrawn = ref(false)
  const later = useTimeoutFn(() => (isDrawn.value = true), 0, { immediate: false })
  watch(isThere, (is) => is && later.start(), { immediate: true, flush: 'post' })
  return isDrawn
}
