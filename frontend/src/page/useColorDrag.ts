import { createSharedComposable, useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import type { TakeChange } from '@/api/types'
import { useEscape } from '@/ui/keys'
import { usePagePreview } from './usePagePreview'
import type { Target } from '@/take/roles'
import { targetOf, isSame } from '@/take/roles'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'

/** Pixels before a press becomes a drag. */
const SLIP = 5

interface Carried {
  hex: string
  x: number
  y: number
  onto: string | undefined
  /** Whether the role it comes from and the one below change places; else the one below takes the colour. */
  swaps: boolean
}

/**
 * A colour carried from the measure or a ramp onto a role: where it is let go, the role takes it. From
 * one cell of the measure to another the two change places, day and night; the page shows it before.
 */
export const useColorDrag = createSharedComposable(() => {
  const take = useTakeStore()
  const change = useChange()
  const carried = ref<Carried>()
  let pressed: { target: Target; hex: string; x: number; y: number; role?: string } | undefined
  const { showChange, hide } = usePagePreview()

  /** role: of the cell that it is taken from. */
  function grab(target: Target, hex: string, event: PointerEvent, role?: string) {
    if (event.button === 0)
      pressed = { target, hex, x: event.clientX, y: event.clientY, ...(role && { role }) }
  }

  function under(event: PointerEvent) {
    const place = document
      .elementsFromPoint(event.clientX, event.clientY)
      .map((one) => one.closest('[data-role]'))
      .find((one) => one?.getAttribute('data-role'))
    const onto = place?.getAttribute('data-role') ?? undefined
    const swaps = onto !== undefined && pressed?.role !== undefined && place?.matches('[data-cell]')
    return { onto, swaps: swaps ?? false }
  }

  function changeOf(onto: string | undefined, swaps: boolean): TakeChange | undefined {
    const { target, role } = pressed ?? {}
    if (!onto || !target || !take.document) return undefined
    if (swaps && role) return role === onto ? undefined : { kind: 'swap', role, other: onto }
    return isSame(targetOf(take.document, onto), target)
      ? undefined
      : { kind: 'give', role: onto, ...target }
  }

  useEventListener(window, 'pointermove', (event: PointerEvent) => {
    if (!pressed) return
    const { clientX: x, clientY: y } = event
    if (!carried.value && Math.hypot(x - pressed.x, y - pressed.y) < SLIP) return
    const before = carried.value?.onto
    const place = under(event)
    carried.value = { hex: pressed.hex, x, y, ...place }
    if (place.onto === before) return
    const made = changeOf(place.onto, place.swaps)
    if (made) showChange(() => made)
    else hide()
  })
  useEventListener(window, 'pointerup', () => {
    const made = carried.value && changeOf(carried.value.onto, carried.value.swaps)
    if (carried.value) hide()
    pressed = carried.value = undefined
    if (made) void change.make(made)
  })
  function drop() {
    if (carried.value) hide()
    pressed = carried.value = undefined
  }
  useEventListener(window, ['pointercancel', 'blur'], drop)
  useEscape(() => carried.value !== undefined, drop)

  return { carried, grab }
})
