import { useDebounceFn } from '@vueuse/core'
import { signed } from './layout'
import type { Evaluation, Flag, SwatchFigures, TakeChange, TakeDocument } from '@/api/types'
import { arrowOf } from '@/ui/arrows'

interface Verbs {
  show: (change: TakeChange) => void
  keep: () => void | Promise<void>
  hold: (id: string) => void
  remove: (id: string) => void
}
interface Look {
  readonly document: TakeDocument
  readonly evaluation: Evaluation
}

/** Where a note stands, as its keys move it: up, out from grey, and around; lightness, chroma and hue. */
type Place = readonly [up: number, out: number, around: number]

const MOST_CHROMA = 0.4
const LIGHTNESS_STEP = 0.01
const CHROMA_STEP = 0.01
const WHEEL_STEP = 0.005
/** Where the other flags have their place in the row. */
const ANCHOR = -1
/** Keys pressed within this time are one step back. */
const GESTURE_MS = 450

/** What keys and the wheel do to a note; a row of presses is one step. */
export function useNoteKeys(look: Look, verbs: Verbs) {
  let under: { id: string; place: Place } | undefined
  let turned: { index: number; degrees: number } | undefined
  const keep = useDebounceFn(async () => {
    const [note, flag] = [under, turned]
    await verbs.keep()
    // What was pressed meanwhile goes on from what was reached, not from an answer that is still to come.
    if (under === note) under = undefined
    if (turned === flag) turned = undefined
  }, GESTURE_MS)

  /** The place that a row of presses has reached, before the server rounds it to 8 bits. */
  function placeOf({ id, lightness, chroma, hue }: SwatchFigures): Place {
    if (under?.id !== id) under = { id, place: [lightness, chroma, hue] }
    return under.place
  }

  function show(swatch: string, place: Place) {
    under = { id: swatch, place }
    const [lightness, chroma, hue] = place
    verbs.show({ kind: 'place', swatch, lightness, chroma, hue, position: null, settle: false })
    void keep()
  }

  function press(figures: SwatchFigures, event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey) return
    const arrow = arrowOf(event)
    const [up, out, around] = placeOf(figures)
    const far = event.shiftKey ? 10 : 1
    const { id } = figures
    if (arrow?.[0]) show(id, [up, out, (around + arrow[0] * far + 360) % 360])
    else if (arrow) show(id, [within(up - arrow[1] * far * LIGHTNESS_STEP, 1), out, around])
    else if (event.key === '+' || event.key === '=')
      show(id, [up, within(out + CHROMA_STEP, MOST_CHROMA), around])
    else if (event.key === '-') show(id, [up, within(out - CHROMA_STEP, MOST_CHROMA), around])
    else if (event.key.toLowerCase() === 'h') verbs.hold(figures.id)
    else if (event.key === 'Delete' || event.key === 'Backspace') verbs.remove(figures.id)
    else return
    event.preventDefault()
  }

  /** Only the note that has the focus, and no held one: else a page that is scrolled by would change. */
  function wheel(figures: SwatchFigures, isHeld: boolean, event: WheelEvent) {
    const note = event.currentTarget
    if (isHeld || !(note instanceof Element) || !note.contains(document.activeElement)) return
    event.preventDefault()
    const [up, out, around] = placeOf(figures)
    const further = within(out - Math.sign(event.deltaY) * WHEEL_STEP, MOST_CHROMA)
    show(figures.id, [up, further, around])
  }

  /** A flag by keys: the spread, or with the anchor's flag the whole chord. */
  function stepFlag(flag: Flag | 'anchor', degrees: number) {
    const index = flag === 'anchor' ? ANCHOR : look.evaluation.stave.flags.indexOf(flag)
    if (turned?.index !== index)
      turned = { index, degrees: flag === 'anchor' ? 0 : signed(flag.angle) }
    turned = { index, degrees: turned.degrees + degrees }
    if (index === ANCHOR) verbs.show({ kind: 'chord', harmony: {}, turn: turned.degrees })
    else verbs.show({ kind: 'flag', index, angle: turned.degrees, on_stave: false })
    void keep()
  }

  return { press, wheel, stepFlag }
}

const within = (value: number, most: number) => Math.min(most, Math.max(0, value))
