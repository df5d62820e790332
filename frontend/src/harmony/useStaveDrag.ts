import { ref } from 'vue'
import { useEscape } from '@/ui/keys'
import type { Ref } from 'vue'
import { angleOf, positionOf } from './layout'
import type { Box } from './layout'
import type { Evaluation, Flag, SwatchFigures, TakeChange, TakeDocument } from '@/api/types'

interface Verbs {
  show: (change: TakeChange) => void
  keep: () => void
  drop: () => void
}
interface Look {
  readonly document: TakeDocument
  readonly evaluation: Evaluation
}
type Grip =
  | { kind: 'note'; figures: SwatchFigures; dx: number; dy: number; startX: number; startY: number }
  | { kind: 'flag'; flag: Flag; index: number }
  | { kind: 'anchor' }

/** Pixels before a press becomes a drag; a click only selects. */
const SLIP = 3

/** Notes and flags under the pointer: a gesture from press to release is one step. */
export function useStaveDrag(
  chart: Ref<HTMLElement | undefined>,
  field: Ref<Box>,
  look: Look,
  verbs: Verbs,
) {
  const at = ref<{ id: string; x: number; y: number }>()
  /** The hue in the middle of the axis while the anchor itself is dragged. */
  const hue = ref<number>()
  let grip: Grip | undefined
  let pressed: { x: number; y: number } | undefined
  let moved = false

  function place(event: PointerEvent) {
    const box = chart.value?.getBoundingClientRect()
    return { x: event.clientX - (box?.left ?? 0), y: event.clientY - (box?.top ?? 0) }
  }

  function press(event: PointerEvent, next: Grip) {
    if (event.button !== 0) return
    grip = next
    moved = false
    pressed = place(event)
    hue.value = look.evaluation.stave.hue
    chart.value?.setPointerCapture(event.pointerId)
  }

  function grab(figures: SwatchFigures, x: number, y: number, event: PointerEvent) {
    const from = place(event)
    press(event, {
      kind: 'note',
      figures,
      dx: x - from.x,
      dy: y - from.y,
      startX: x,
      startY: y,
    })
  }

  function grabFlag(flag: Flag | 'anchor', event: PointerEvent) {
    const index = flag === 'anchor' ? -1 : look.evaluation.stave.flags.indexOf(flag)
    press(event, flag === 'anchor' ? { kind: 'anchor' } : { kind: 'flag', flag, index })
  }

  function move(event: PointerEvent) {
    if (!grip || !pressed) return
    const now = place(event)
    if (!moved && Math.hypot(now.x - pressed.x, now.y - pressed.y) < SLIP) return
    moved = true
    if (grip.kind === 'note') moveNote(grip, now, event.shiftKey)
    else if (grip.kind === 'flag') moveFlag(grip, now.x)
    else verbs.show(turned(angleOf(now.x, field.value) - angleOf(pressed.x, field.value)))
  }

  function moveNote(
    note: Extract<Grip, { kind: 'note' }>,
    now: { x: number; y: number },
    one: boolean,
  ) {
    let { x, y } = { x: now.x + note.dx, y: now.y + note.dy }
    if (one && Math.abs(x - note.startX) > Math.abs(y - note.startY)) y = note.startY
    else if (one) x = note.startX
    const isNeutral = note.figures.is_neutral
    y = Math.min(field.value.bottom, Math.max(field.value.top, y))
    at.value = { id: note.figures.id, x, y }
    const sideways = isNeutral || x === note.startX
    verbs.show({
      kind: 'place',
      swatch: note.figures.id,
      chroma: note.figures.chroma,
      hue: sideways ? note.figures.hue : ((hue.value ?? 0) + angleOf(x, field.value) + 720) % 360,
      lightness: null,
      position: positionOf(y, field.value),
      settle: true,
    })
  }

  function moveFlag(grip: Extract<Grip, { kind: 'flag' }>, x: number) {
    verbs.show({ kind: 'flag', index: grip.index, angle: angleOf(x, field.value), on_stave: true })
  }

  function turned(degrees: number): TakeChange {
    return { kind: 'chord', harmony: {}, turn: degrees }
  }

  function end(verb: () => void) {
    if (!grip) return
    grip = pressed = at.value = hue.value = undefined
    verb()
  }

  useEscape(
    () => grip !== undefined,
    () => {
      end(verbs.drop)
    },
  )

  return {
    at,
    hue,
    grab,
    grabFlag,
    move,
    release: () => {
      end(moved ? verbs.keep : verbs.drop)
    },
    cancel: () => {
      end(verbs.drop)
    },
  }
}
