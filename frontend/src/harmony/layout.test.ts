/** Where things stand: on the stave, on the ramps, on the sheet of small shapes. */
import { describe, expect, it } from 'vitest'
import type { Row } from '@/api/types'
import {
  CHIP,
  chipWidths,
  placeFlags,
  stepAcross,
  stepNear,
  stepOf,
  TOP,
  xOf as rampX,
} from '@/roles/rampLayout'
import { ARRANGEMENTS, arranged, BOX } from '@/proof/scatter'
import {
  angleOf,
  fieldOf,
  flagTop,
  NOTE,
  placeNotes,
  positionOf,
  rowsOfFlags,
  signed,
  xOf,
  yOf,
} from '@/harmony/layout'
import type { Box } from '@/harmony/layout'
import { assigned } from '@/testing/takes'

const FIELD = fieldOf({ width: 900, height: 600 })
const meet = (one: Box, other: Box) =>
  one.left < other.right &&
  other.left < one.right &&
  one.top < other.bottom &&
  other.top < one.bottom

describe('the stave', () => {
  it('places a colour and reads its place again', () => {
    for (const position of [0, 0.25, 1])
      expect(positionOf(yOf(position, FIELD), FIELD)).toBeCloseTo(position, 12)
    for (const [hue, anchor] of [
      [20, 350],
      [350, 20],
      [200, 200],
      [10, 200],
    ] as const)
      expect(angleOf(xOf(hue, anchor, FIELD), FIELD)).toBeCloseTo(signed(hue - anchor), 9)
    expect(yOf(1, FIELD)).toBeLessThan(yOf(0, FIELD))
  })
  it.each([
    [0, 0],
    [180, 180],
    [-180, 180],
    [190, -170],
    [540, 180],
    [-725, -5],
  ])('has %d degrees as %d', (angle, expected) => {
    expect(signed(angle)).toBe(expected)
  })
  it('keeps a field where the window is too small for one', () => {
    const field = fieldOf({ width: 10, height: 10 })
    expect(field.right - field.left).toBe(80)
    expect(field.bottom - field.top).toBe(80)
  })
  it.each([1200, 700, 360])(
    'has room over its field for all rows of flags, %d pixels wide',
    (width) => {
      const field = fieldOf({ width, height: 600 })
      expect(flagTop(field, field.flagRows - 1)).toBeGreaterThanOrEqual(0)
      expect(field.ruler).toBeLessThan(field.top)
      expect(field.lane.left + field.lane.width).toBeLessThan(field.left)
    },
  )
  it('puts flags that would cover one another in rows, as far as there are any', () => {
    const flags = [0, 30, 60, 200].map((x) => ({ x, width: 40 }))
    expect(rowsOfFlags(flags, 3)).toEqual([0, 1, 0, 0])
    expect(rowsOfFlags([...flags, { x: 15, width: 40 }], 3)).toEqual([0, 1, 0, 0, 2])
    expect(rowsOfFlags(flags, 1)).toEqual([0, 0, 0, 0])
  })
  it('lets notes step aside and gives each label its own room', () => {
    const spots = ['a', 'b', 'c', 'd', 'e'].map((id, row) => ({
      id,
      x: 400 + row,
      y: 300,
      width: 60,
      inLane: false,
    }))
    const bounds = { left: 0, top: 0, right: 900, bottom: 600 }
    const placed = Object.values(placeNotes(spots, bounds))
    const xs = spots.map((spot, row) => spot.x + (placed[row]?.dx ?? 0))
    xs.forEach((x, row) =>
      xs.slice(row + 1).forEach((other) => {
        expect(Math.abs(other - x)).toBeGreaterThanOrEqual(NOTE)
      }),
    )
    placed.forEach((one, row) =>
      placed.slice(row + 1).forEach((other) => {
        expect(meet(one.label, other.label)).toBe(false)
      }),
    )
  })
  it('labels a note at the edge inside of the edge', () => {
    const bounds = { left: 0, top: 0, right: 420, bottom: 600 }
    const placed = placeNotes([{ id: 'a', x: 400, y: 300, width: 60, inLane: false }], bounds)
    expect(placed.a?.label.right).toBeLessThanOrEqual(420)
  })
})

const row = (owner: string, positions: number[], own: number): Row =>
  ({
    owner,
    steps: positions.map((position, at) => ({ step: at + 1, position, is_own: at === own })),
  }) as unknown as Row
const ROWS = [row('s1', [0.9, 0.6, 0.5, 0.1], 1), row('s2', [0.8, 0.3], 0)]

describe('the ramps', () => {
  it('make steps as wide as their neighbours let them, and never too small to see', () => {
    const widths = chipWidths(row('s1', [0.9, 0.89, 0.5], 0), 800)
    expect(widths[0]).toBe(CHIP.least)
    expect(widths[2]).toBe(CHIP.most)
  })
  it('find the step of a target: the swatch itself has no number', () => {
    expect(stepOf(ROWS, { swatch: 's1', step: null })?.step).toBe(2)
    expect(stepOf(ROWS, { swatch: 's1', step: 4 })?.position).toBe(0.1)
    expect(stepOf(ROWS, { swatch: 's9', step: null })).toBeUndefined()
  })
  it('find the step under the pointer and across the rows', () => {
    expect(stepNear(ROWS, rampX(0.12, 800), TOP + 10, 800, 60)).toEqual({ swatch: 's1', step: 4 })
    expect(stepNear(ROWS, rampX(0.79, 800), TOP + 70, 800, 60)).toEqual({
      swatch: 's2',
      step: null,
    })
    expect(stepNear(ROWS, 400, -50, 800, 60)?.swatch).toBe('s1')
    expect(stepNear(ROWS, 400, 9000, 800, 60)?.swatch).toBe('s2')
    expect(stepAcross(ROWS[0] ?? row('', [], 0), 0.55)).toMatchObject({ swatch: 's1' })
  })
  it('set flags under their steps and apart from one another', () => {
    const roles = [
      assigned('primary', 's1'),
      assigned('link', 's1', 2),
      assigned('line', 's1', 3),
      assigned('paper', 's2', 2),
    ]
    const flags = placeFlags(ROWS, roles, 800, (role) => `The role of ${role} with a long name`)
    expect(flags.map(({ role, row: at }) => [role, at])).toEqual([
      ['primary', 0],
      ['link', 0],
      ['line', 0],
      ['paper', 1],
    ])
    const first = flags.filter((one) => one.row === 0).sort((one, other) => one.left - other.left)
    first.slice(1).forEach((one, at) => {
      expect(one.left).toBeGreaterThanOrEqual((first[at]?.left ?? 0) + (first[at]?.width ?? 0))
    })
    for (const one of flags) {
      expect(one.name.length).toBeLessThanOrEqual(18)
      expect(one.left + one.width).toBeLessThanOrEqual(800)
    }
  })
})

describe('small shapes', () => {
  const parts = [
    { key: 'a', hex: '#111111', share: 0.6 },
    { key: 'b', hex: '#888888', share: 0.3 },
    { key: 'c', hex: '#eeeeee', share: 0.1 },
  ]
  it.each(ARRANGEMENTS.map(({ value }) => value))(
    '%s: the same every time, inside of the sheet',
    (arrangement) => {
      const shapes = arranged(parts, arrangement)
      expect(arranged(parts, arrangement)).toEqual(shapes)
      for (const { path } of shapes) {
        const [x = NaN, y = NaN] = path.slice(1).split(/[hav]/)[0]?.split(' ').map(Number) ?? []
        // A circle may be cut by the edge.
        expect(x).toBeGreaterThanOrEqual(arrangement === 'scattered' ? -19 : -0.01)
        expect(x).toBeLessThanOrEqual(BOX.width)
        expect(y).toBeGreaterThanOrEqual(0)
        expect(y).toBeLessThanOrEqual(BOX.height)
      }
    },
  )
  it('scattered: as many of each as its share', () => {
    const shapes = arranged(parts, 'scattered')
    for (const { key, share } of parts)
      expect(shapes.filter((one) => one.key === key).length / shapes.length).toBeCloseTo(share, 2)
  })
  it('are none where there are no colours', () => {
    expect(arranged([], 'stacked')).toEqual([])
    expect(arranged([], 'scattered').every(({ hex }) => hex === 'transparent')).toBe(true)
  })
})
