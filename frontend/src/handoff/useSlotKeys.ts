/** C copies the next slot and the arrows move, wherever the focus is but in a field, a list or a dialog. */
import { useEventListener } from '@vueuse/core'

interface SlotKeys {
  copy: () => void
  move: (by: number) => void
}

/** Where letters are typed or looked for. */
const TAKES_LETTERS =
  'input, textarea, select, [role="dialog"], [role="listbox"], [role="combobox"], [role="menu"], [aria-expanded="true"]'
/** Where arrows mean something of their own. */
const TAKES_ARROWS = `${TAKES_LETTERS}, [role="radiogroup"], button[aria-haspopup]`

export function useSlotKeys({ copy, move }: SlotKeys) {
  useEventListener(window, 'keydown', (event: KeyboardEvent) => {
    const { target } = event
    if (event.defaultPrevented || event.ctrlKey || event.metaKey || event.altKey) return
    if (document.querySelector('[role="dialog"]')) return
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key]
    const taken = by ? TAKES_ARROWS : TAKES_LETTERS
    if (target instanceof Element && target.closest(taken)) return
    if (by) move(by)
    else if (event.key.toLowerCase() === 'c') copy()
    else return
    event.preventDefault()
  })
}
