/** Where a window is narrow, what stands beside a view is a drawer: drawn out by a button, put back by Escape. */
import { useEventListener, useMediaQuery } from '@vueuse/core'
import { nextTick, ref, useTemplateRef } from 'vue'

export function useDrawer() {
  const isNarrow = useMediaQuery('(max-width: 900px)')
  const isOut = ref(false)
  const opener = useTemplateRef<HTMLButtonElement>('opener')

  function toggle() {
    isOut.value = !isOut.value
  }

  /** What has a list or a dialog open closes that first. */
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.key !== 'Escape' || event.defaultPrevented || !isOut.value || !isNarrow.value) return
    if (document.querySelector('[role="dialog"], [role="listbox"], [role="menu"]')) return
    isOut.value = false
    void nextTick(() => opener.value?.focus())
  })

  return { isNarrow, isOut, toggle }
}
