/** Whether something was ever so: what is seldom shown is loaded when it is first asked for, and stays. */
import { ref, watch, type Ref } from 'vue'

export function useEver(now: Readonly<Ref<boolean>>): Readonly<Ref<boolean>> {
  const ever = ref(now.value)
  watch(now, (is) => (ever.value ||= is))
  return ever
}
