/** Where things stand on the stave, in pixels. Plain functions: figures come from the server. */

export interface Frame {
  width: number
  height: number
}
export interface Box {
  left: number
  top: number
  right: number
  bottom: number
}

/** Where colours stand by hue, with the lane of neutrals at its left and the rows of flags above it. */
export interface Field extends Box {
  lane: { left: number; width: number }
  flagRows: number
  /** Top of the lowest row of flags. */
  ruler: number
}

/** Around the field: the ruler above, the line labels and the neutral lane at the left. */
const WIDE = { top: 54, bottom: 26, left: 162, right: 22, lane: { left: 88, width: 62 } } as const
/** In a narrow frame what stands over the ruler elsewhere has a line of its own. */
const NARROW = { top: 88, bottom: 44, left: 110, right: 12, lane: { left: 62, width: 40 } } as const
const NARROW_BELOW = 520
/** Below it flags that are 30 degrees apart don't stand beside one another. */
const ROWS_BELOW = 820
const FLAG_ROW = 22
export const NOTE = 14
/** Of a label with so many letters, about. */
export const labelWidth = (letters: number) => letters * 6.7 + 16
/** Half the side of a tone: a step that has a role, moved in Roles and not here. */
export const TONE = 7

export function fieldOf(frame: Frame): Field {
  const margin = frame.width < NARROW_BELOW ? NARROW : WIDE
  const flagRows = frame.width < NARROW_BELOW ? 3 : frame.width < ROWS_BELOW ? 2 : 1
  const top = margin.top + (flagRows - 1) * FLAG_ROW
  return {
    left: margin.left,
    top,
    right: Math.max(margin.left + 80, frame.width - margin.right),
    bottom: Math.max(top + 80, frame.height - margin.bottom),
    lane: margin.lane,
    flagRows,
    ruler: top - 50,
  }
}

/** How far up from the lowest row each flag stands, so that none covers another where that can be. */
export function rowsOfFlags(
  flags: readonly { x: number; width: number }[],
  rows: number,
): number[] {
  const stood: { row: number; left: number; right: number }[] = []
  return flags.map(({ x, width }) => {
    const [left, right] = [x - width / 2 - 2, x + width / 2 + 2]
    const isFree = (row: number) =>
      !stood.some((one) => one.row === row && one.left < right && left < one.right)
    const row = Math.max(
      0,
      Array.from({ length: rows }, (_, number) => number).findIndex((number) => isFree(number)),
    )
    stood.push({ row, left, right })
    return row
  })
}
export const flagTop = (field: Field, row: number) => field.ruler - row * FLAG_ROW

/** Up is light: 1 at the top. */
export const yOf = (position: number, field: Box) =>
  field.bottom - position * (field.bottom - field.top)

export const positionOf = (y: number, field: Box) => (field.bottom - y) / (field.bottom - field.top)

/** The anchor's hue is the middle; the axis wraps at both ends. */
export function xOf(hue: number, anchorHue: number, field: Box): number {
  const middle = (field.left + field.right) / 2
  return middle + (signed(hue - anchorHue) / 360) * (field.right - field.left)
}

export function angleOf(x: number, field: Box): number {
  return ((x - (field.left + field.right) / 2) / (field.right - field.left)) * 360
}

/** An angle over -180 up to 180. */
export const signed = (angle: number) => 180 - ((((180 - angle) % 360) + 360) % 360)

export interface Spot {
  id: string
  x: number
  y: number
  /** Of its label. */
  width: number
  /** In the neutral lane sideways means nothing, so that notes may step aside farther there. */
  inLane: boolean
}
export interface Placed {
  /** How far the note steps aside, so that none hides another. */
  dx: number
  label: Box
}

/** Notes that would hide one another step aside, and each label goes where there is room. */
export function placeNotes(spots: readonly Spot[], bounds: Box): Record<string, Placed> {
  const circles: { x: number; y: number; inLane: boolean }[] = []
  const result: Record<string, Placed> = {}
  const aside = spots.map((spot) => {
    const { x, y, inLane } = spot
    const dx = ASIDE.find((offset) => isFree({ x: x + offset, y, inLane }, circles)) ?? 0
    circles.push({ x: x + dx, y, inLane })
    return dx
  })
  const labels: Box[] = []
  spots.forEach((spot, row) => {
    const x = spot.x + (aside[row] ?? 0)
    const choices = labelPlaces(x, spot.y, spot.width).filter(
      (box) => box.left >= bounds.left && box.right <= bounds.right && box.top >= bounds.top,
    )
    const label =
      choices.find((box) => !labels.some((other) => overlaps(box, other)) && clear(box, circles)) ??
      choices.find((box) => !labels.some((other) => overlaps(box, other))) ??
      choices[0] ??
      labelPlaces(x, spot.y, spot.width)[0]
    if (!label) return
    labels.push(label)
    result[spot.id] = { dx: aside[row] ?? 0, label }
  })
  return result
}

const ASIDE = [0, 14, -14, 21, -21, 28, -28, 35, -35, 42, -42, 56, -56] as const
const LABEL_HEIGHT = 18
/** WCAG 2.2, 2.5.8: so far apart that each can be hit. */
const TARGET = 25

interface Circle {
  x: number
  y: number
  inLane: boolean
}
const isFree = (one: Circle, circles: readonly Circle[]) =>
  circles.every((other) => {
    const across = Math.abs(other.x - one.x)
    const up = Math.abs(other.y - one.y)
    // In the lane two stay so far apart that each can be hit; elsewhere the place says something.
    return one.inLane && other.inLane
      ? across >= NOTE * 2 || up >= NOTE * 2 - 3
      : Math.hypot(across, up) >= TARGET
  })

function labelPlaces(x: number, y: number, width: number): Box[] {
  const gap = NOTE + 5
  const box = (left: number, top: number): Box => ({
    left,
    top,
    right: left + width,
    bottom: top + LABEL_HEIGHT,
  })
  return [
    box(x + gap, y - LABEL_HEIGHT / 2),
    box(x - gap - width, y - LABEL_HEIGHT / 2),
    box(x + gap - 4, y + 6),
    box(x + gap - 4, y - LABEL_HEIGHT - 6),
    box(x - gap + 4 - width, y + 6),
    box(x - gap + 4 - width, y - LABEL_HEIGHT - 6),
    box(x - width / 2, y + gap),
    box(x - width / 2, y - gap - LABEL_HEIGHT),
    box(x + gap, y + 20),
    box(x + gap, y - 38),
  ]
}

const overlaps = (one: Box, other: Box) =>
  one.left < other.right &&
  other.left < one.right &&
  one.top < other.bottom &&
  other.top < one.bottom

const clear = (box: Box, circles: readonly { x: number; y: number }[]) =>
  circles.every(
    ({ x, y }) =>
      x + NOTE < box.left || x - NOTE > box.right || y + NOTE < box.top || y - NOTE > box.bottom,
  )
