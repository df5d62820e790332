/** C copies the next slot and the arrows move, wherever the focus is but in a field, a list or a dialog. */
import { useShortcut } from '@/ui/keys'

interface SlotKeys {
  copy: () => void
  move: (by: number) => void
}

export function useSlotKeys({ copy, move }: SlotKeys) {
  useShortcut('copy', copy)
  useShortcut('next', ({ key }) => {
    move(key === 'ArrowDown' ? 1 : -1)
  })
}
