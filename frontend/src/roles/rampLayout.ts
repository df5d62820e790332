/** Where steps and flags stand, in pixels. Plain functions: places on the contrast scale come from the server. */
import type { Assignment, Row, Step } from '@/api/types'
import { isSame, textKey } from '@/take/roles'
import type { Target } from '@/take/roles'

export const LEFT = 118
export const RIGHT = 26
export const TOP = 26
export const CHIP = { most: 42, least: 9, height: 28 } as const
export const LEAST_ROW = 56
const LETTER = 6.6
const PADDING = 15

/** Light at the left, dark at the right: what is far from a light ground is far along. */
export const xOf = (position: number, width: number) =>
  LEFT + (1 - position) * (width - LEFT - RIGHT)

export const targetAt = (row: Row, step: Step): Target => ({
  swatch: row.owner,
  step: step.is_own ? null : step.step,
})

export const stepOf = (rows: readonly Row[], target: Target) =>
  rows
    .find((row) => row.owner === target.swatch)
    ?.steps.find((step) => (target.step === null ? step.is_own : step.step === target.step))

/** As wide as there is room for between the neighbours. */
export function chipWidths(row: Row, width: number): number[] {
  const places = row.steps.map((step) => xOf(step.position, width))
  return places.map((x, number) => {
    const before = number > 0 ? x - (places[number - 1] ?? x) : Infinity
    const after = number + 1 < places.length ? (places[number + 1] ?? x) - x : Infinity
    return Math.max(CHIP.least, Math.min(CHIP.most, before - 3, after - 3))
  })
}

export interface PlacedFlag {
  role: string
  name: string
  row: number
  /** Of the step it is pinned to. */
  x: number
  left: number
  width: number
}

/** Each flag under its step; where two would lie on each other they move apart. */
export function placeFlags(
  rows: readonly Row[],
  roles: readonly Assignment[],
  width: number,
  nameOf: (role: string) => string,
): PlacedFlag[] {
  return rows.flatMap((row, number) => {
    const flags = roles.flatMap(pinned).flatMap(({ role, target }) => {
      const step =
        target.swatch === row.owner &&
        row.steps.find((other) => isSame(targetAt(row, other), asTarget(row, target)))
      if (!step) return []
      const name = shortened(nameOf(role))
      const own = name.length * LETTER + PADDING
      const x = xOf(step.position, width)
      return [{ role, name, row: number, x, left: x - own / 2, width: own }]
    })
    return apart(flags, width)
  })
}

/** A role, and what it is as text where that is another colour. */
const pinned = (one: Assignment): { role: string; target: Target }[] => [
  { role: one.role, target: one },
  ...(one.text_step
    ? [{ role: textKey(one.role), target: { swatch: one.swatch, step: one.text_step } }]
    : []),
]

/** A role may name the swatch's own step by its number: it is the swatch itself. */
const asTarget = (row: Row, one: Target): Target => {
  const own = row.steps.find((step) => step.is_own)
  return { swatch: one.swatch, step: one.step === own?.step ? null : one.step }
}

const shortened = (name: string) => (name.length > 18 ? `${name.slice(0, 17)}…` : name)

function apart(flags: PlacedFlag[], width: number): PlacedFlag[] {
  const sorted = [...flags].sort((one, other) => one.x - other.x)
  let edge = LEFT - 40
  for (const flag of sorted) {
    flag.left = Math.max(flag.left, edge)
    edge = flag.left + flag.width + 3
  }
  // What ran over the right edge is pushed back, the last one first.
  let limit = width - 4
  for (const flag of [...sorted].reverse()) {
    flag.left = Math.min(flag.left, limit - flag.width)
    limit = flag.left - 3
  }
  return sorted
}

/** The step nearest to a place of the chart. */
export function stepNear(
  rows: readonly Row[],
  x: number,
  y: number,
  width: number,
  rowHeight: number,
): Target | undefined {
  const row = rows[Math.min(rows.length - 1, Math.max(0, Math.floor((y - TOP) / rowHeight)))]
  return row && nearestIn(row, (step) => Math.abs(xOf(step.position, width) - x))
}

/** The step of another row that stands nearest to a place of the contrast scale. */
export const stepAcross = (row: Row, position: number) =>
  nearestIn(row, (step) => Math.abs(step.position - position))

function nearestIn(row: Row, away: (step: Step) => number): Target | undefined {
  const nearest = [...row.steps].sort((one, other) => away(one) - away(other))[0]
  return nearest && targetAt(row, nearest)
}
