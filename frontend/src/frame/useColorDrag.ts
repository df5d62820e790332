import { createSharedComposable, useEventListener } from '@vueuse/core'
import { ref } from 'vue'
import type { Target } from '@/take/roles'
import { targetOf, isSame } from '@/take/roles'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'

/** Pixels before a press becomes a drag. */
const SLIP = 5

/** A colour carried from the measure or a ramp onto a role: where it is let go, the role takes it. */
export const useColorDrag = createSharedComposable(() => {
  const take = useTakeStore()
  const change = useChange()
  const carried = ref<{ hex: string; x: number; y: number; onto: string | undefined }>()
  let pressed: { target: Target; hex: string; x: number; y: number } | undefined

  function grab(target: Target, hex: string, event: PointerEvent) {
    if (event.button === 0) pressed = { target, hex, x: event.clientX, y: event.clientY }
  }

  const roleUnder = (event: PointerEvent) =>
    document
      .elementsFromPoint(event.clientX, event.clientY)
      .map((one) => one.closest('[data-role]')?.getAttribute('data-role'))
      .find((role) => role)

  useEventListener(window, 'pointermove', (event: PointerEvent) => {
    if (!pressed) return
    const { clientX: x, clientY: y } = event
    if (!carried.value && Math.hypot(x - pressed.x, y - pressed.y) < SLIP) return
    carried.value = { hex: pressed.hex, x, y, onto: roleUnder(event) ?? undefined }
  })
  useEventListener(window, 'pointerup', () => {
    const role = carried.value?.onto
    const target = pressed?.target
    pressed = carried.value = undefined
    if (!role || !target || !take.document) return
    if (!isSame(targetOf(take.document, role), target))
      void change.make({ kind: 'give', role, ...target })
  })
  useEventListener(window, ['pointercancel', 'blur'], () => {
    pressed = carried.value = undefined
  })

  return { carried, grab, problem: change.problem }
})
