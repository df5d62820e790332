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
  /** How often something was chosen: the same thing again opens its leaf again. */
  times: () => number
  /** Whether something is being dragged: then the page stays, so that it is seen to follow. */
  isDragging: () => boolean
}

/** Pixels before a press is a drag and chooses nothing. */
const SLIP = 4

export function useLeaf({ view, first, chosen, own, times, isDragging }: Leaves) {
  const kept = useLocalStorage<'page' | 'own'>(`tonada-leaf-${view}`, first)
  const isChosen = ref(chosen() !== undefined)
  const leaf = computed<Leaf>({
    get: () => (isChosen.value ? 'chosen' : kept.value),
    set: (next) => {
      isChosen.value = next === 'chosen'
      if (next !== 'chosen') kept.value = next
    },
  })

  /** While the pointer is down it isn't known yet whether something is chosen or dragged. */
  let isDown = false
  let pressed = { x: 0, y: 0 }
  let waiting: Leaf | undefined
  function open(next: Leaf) {
    if (isDown) waiting = next
    else leaf.value = next
  }
  function press(event: PointerEvent) {
    isDown = true
    pressed = { x: event.clientX, y: event.clientY }
  }
  /** Over a slow line a drag ends before anything has answered: how far it went says what it was. */
  function release(event: PointerEvent) {
    isDown = false
    const went = Math.hypot(event.clientX - pressed.x, event.clientY - pressed.y)
    if (waiting && went < SLIP) leaf.value = waiting
    waiting = undefined
  }
  const early = { capture: true }
  useEventListener(window, 'pointerdown', press, early)
  useEventListener(window, ['pointerup', 'pointercancel'], release, early)
  watch(isDragging, (is) => {
    if (is) waiting = undefined
  })

  watch([chosen, times], ([key]) => {
    if (key !== undefined) open('chosen')
    else isChosen.value = false
  })
  watch([own, times], ([key]) => {
    if (key !== undefined) open('own')
  })

  /** Escape brings the page back; where it means something else, that comes first. */
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    if (event.key !== 'Escape' || event.defaultPrevented || isDragging()) return
    const { target } = event
    const isBusy =
      target instanceof Element && target.closest('input, textarea, select, [aria-expanded="true"]')
    if (isBusy || document.querySelector('[role="dialog"], [role="listbox"], [role="menu"]')) return
    leaf.value = 'page'
  })
  return { leaf }
}
