import { ref } from 'vue'
import type { Ref } from 'vue'
import { useEscape } from '@/ui/keys'
import { stepNear } from './rampLayout'
import type { Row, TakeChange, TakeDocument } from '@/api/types'
import { giving, isSame, roleAsText, targetOf } from '@/take/roles'

interface Look {
  readonly document: TakeDocument
  readonly rows: readonly Row[]
}
interface Verbs {
  show: (change: TakeChange) => void
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
  let grip: { role: string; x: number; y: number; others: Map<string, DOMRect> } | undefined

  const place = (event: PointerEvent) => {
    const box = chart.value?.getBoundingClientRect()
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) }
  }

  function grab(role: string, event: PointerEvent) {
    if (event.button !== 0) return
    grip = { role, ...place(event), others: otherFlags(role) }
    chart.value?.setPointerCapture(event.pointerId)
  }

  /** Where the other flags are when the gesture begins: what is shown meanwhile moves them about. */
  function otherFlags(own: string): Map<string, DOMRect> {
    const flags = [...(chart.value?.querySelectorAll('[data-flag]') ?? [])]
    return new Map(
      flags.flatMap((one) => {
        const role = one.getAttribute('data-flag')
        // What a role is as text has no place to change with another.
        const isOther = role && role !== own && !roleAsText(role) && !roleAsText(own)
        return isOther ? [[role, one.getBoundingClientRect()] as const] : []
      }),
    )
  }

  const flagUnder = ({ clientX: x, clientY: y }: PointerEvent) =>
    [...(grip?.others ?? [])].find(
      ([, box]) => x >= box.left && x <= box.right && y >= box.top && y <= box.bottom,
    )?.[0]

  function move(event: PointerEvent) {
    if (!grip) return
    const now = place(event)
    if (!carried.value && Math.hypot(now.x - grip.x, now.y - grip.y) < SLIP) return
    const other = flagUnder(event)
    carried.value = { role: grip.role, ...now, with: other }
    if (other) verbs.show({ kind: 'swap', role: grip.role, other })
    else {
      const target = stepNear(look.rows, now.x, now.y, width.value, rowHeight.value)
      const asked =
        target &&
        !isSame(target, targetOf(look.document, grip.role)) &&
        giving(look.document, grip.role, target)
      if (asked) verbs.show(asked)
    }
  }

  function end(verb: () => void) {
    const moved = carried.value !== undefined
    grip = carried.value = undefined
    if (moved) verb()
  }

  useEscape(
    () => grip !== undefined,
    () => {
      end(verbs.drop)
    },
  )

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
