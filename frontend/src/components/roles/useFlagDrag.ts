import { ref } from 'vue'
import type { Ref } from 'vue'
import { stepNear } from './rampLayout'
import type { Row, TakeDocument } from '@/api/types'
import { isSame, pinRole, swapRoles, targetOf } from '@/document/roles'

interface Look {
  readonly document: TakeDocument
  readonly rows: readonly Row[]
}
interface Verbs {
  show: (document: TakeDocument) => void
  keep: () => void
  drop: () => void
}
const SLIP = 4

/** A flag under the pointer: to another step or ramp, or onto another flag, with which it changes places. */
export function useFlagDrag(
  chart: Ref<HTMLElement | undefined>,
  width: Ref<number>,
  rowHeight: Ref<number>,
  look: Look,
  verbs: Verbs,
) {
  const carried = ref<{ role: string; x: number; y: number; with: string | undefined }>()
  let grip: { role: string; x: number; y: number; from: TakeDocument } | undefined

  const place = (event: PointerEvent) => {
    const box = chart.value?.getBoundingClientRect()
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) }
  }

  function grab(role: string, event: PointerEvent) {
    if (event.button !== 0) return
    grip = { role, ...place(event), from: look.document }
    chart.value?.setPointerCapture(event.pointerId)
  }

  const flagUnder = (event: PointerEvent, own: string) =>
    document
      .elementsFromPoint(event.clientX, event.clientY)
      .map((one) => one.closest('[data-flag]')?.getAttribute('data-flag') ?? undefined)
      .find((role) => role !== undefined && role !== own)

  function move(event: PointerEvent) {
    if (!grip) return
    const now = place(event)
    if (!carried.value && Math.hypot(now.x - grip.x, now.y - grip.y) < SLIP) return
    // Once two have changed places, the other flag is where this one was: stay until it is left.
    const other = flagUnder(event, grip.role) ?? undefined
    carried.value = { role: grip.role, ...now, with: other }
    if (other) verbs.show(swapRoles(grip.from, grip.role, other))
    else {
      const target = stepNear(look.rows, now.x, now.y, width.value, rowHeight.value)
      if (target && !isSame(target, targetOf(look.document, grip.role)))
        verbs.show(pinRole(grip.from, grip.role, target))
    }
  }

  function end(verb: () => void) {
    const moved = carried.value !== undefined
    grip = carried.value = undefined
    if (moved) verb()
  }

  return {
    carried,
    grab,
    move,
    release: () => {
      end(verbs.keep)
    },
    cancel: () => {
      end(verbs.drop)
    },
  }
}
