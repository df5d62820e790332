import { ref, watch } from 'vue'
import type { WatchSource } from 'vue'

/** Whether something was ever shown: what is taken away when it closes could not give the focus back. */
export function useWanted(shown: WatchSource<boolean>) {
  const isWanted = ref(false)
  watch(shown, (isShown) => (isWanted.value ||= isShown), { flush: 'sync', immediate: true })
  return isWanted
}
