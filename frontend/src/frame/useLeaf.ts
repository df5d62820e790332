/** Which leaf of the inspector is open: the page, what is chosen, or what the view itself has to say. */
import { useEventListener, useLocalStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'

export type Leaf = 'page' | 'chosen' | 'own'

interface Leaves {
  view: string
  /** Open the first time, before one was chosen. */
  first: 'page' | 'own'
  /** What is chosen, by its key: choosing something opens its leaf. */
  chosen: () => string | undefined
  /** What is chosen in the view's own leaf. */
  own: () => string | undefined
}

export function useLeaf({ view, first, chosen, own }: Leaves) {
  const kept = useLocalStorage<'page' | 'own'>(`tonada-leaf-${view}`, first)
  const isChosen = ref(chosen() !== undefined)
  const leaf = computed<Leaf>({
    get: () => (isChosen.value ? 'chosen' : kept.value),
    set: (next) => {
      isChosen.value = next === 'chosen'
      if (next !== 'chosen') kept.value = next
    },
  })
  watch(chosen, (key) => (isChosen.value = key !== undefined))
  watch(own, (key) => {
    if (key !== undefined) leaf.value = 'own'
  })
  /** Escape brings the page back; where it means something else, that comes first. */
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.key !== 'Escape' || event.defaultPrevented) return
    const { target } = event
    const isBusy =
      target instanceof Element && target.closest('input, textarea, select, [aria-expanded="true"]')
    if (isBusy || document.querySelector('[role="dialog"], [role="listbox"], [role="menu"]')) return
    leaf.value = 'page'
  })
  return { leaf }
}
