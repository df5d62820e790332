/** Where small shapes lie: the colours of a take in their shares, in three arrangements. */
import { formatFixed } from '@/ui/format'
export interface Shape {
  key: string
  hex: string
  /** A path in a box of 960 by 540. */
  path: string
}

interface Part {
  key: string
  hex: string
  share: number
}

export type Arrangement = 'scattered' | 'woven' | 'stacked'
export const ARRANGEMENTS = [
  { value: 'scattered', label: 'Scattered' },
  { value: 'woven', label: 'Woven' },
  { value: 'stacked', label: 'Stacked' },
] as const
export const BOX = { width: 960, height: 540 } as const

/** The same every time: what is judged is the colours, not the dice. */
const GOLDEN = 0.618033988749895

export function arranged(parts: readonly Part[], arrangement: Arrangement): Shape[] {
  if (arrangement === 'woven') return woven(parts)
  return arrangement === 'stacked' ? stacked(parts) : scattered(parts)
}

/** Each place gets the colour that is furthest behind its share, so that every part of the sheet is mixed. */
function dealt(parts: readonly Part[], count: number): Part[] {
  const covered = new Map<string, number>()
  return Array.from({ length: count }, (_, row) => {
    const next = [...parts].sort((one, other) => owed(other, row) - owed(one, row))[0]
    if (next) covered.set(next.key, (covered.get(next.key) ?? 0) + 1)
    return next
  }).filter((one) => one !== undefined)

  function owed(part: Part, row: number) {
    return part.share * (row + 1) - (covered.get(part.key) ?? 0)
  }
}

/** Places in an order that jumps about, so that neighbours in the deal don't lie side by side. */
const jumping = (count: number) =>
  Array.from({ length: count }, (_, row) => row).sort(
    (one, other) => ((one * GOLDEN) % 1) - ((other * GOLDEN) % 1),
  )

function scattered(parts: readonly Part[]): Shape[] {
  const [columns, rows] = [24, 14]
  const deal = dealt(parts, columns * rows)
  return jumping(columns * rows).map((place, row) => {
    const [column, line] = [place % columns, Math.floor(place / columns)]
    const x = (column + (line % 2 ? 0.75 : 0.25)) * (BOX.width / columns)
    const y = (line + 0.5) * (BOX.height / rows)
    const radius = 9 + ((place * GOLDEN) % 1) * 10
    return shape(deal[row], circle(x, y, radius))
  })
}

function woven(parts: readonly Part[]): Shape[] {
  const [across, down] = [32, 18]
  const [warp, weft] = [dealt(parts, across), dealt(parts, down)]
  const size = BOX.width / across
  return Array.from({ length: across * down }, (_, place) => {
    const [column, line] = [place % across, Math.floor(place / across)]
    const part = (column + line) % 2 ? warp[column] : weft[line]
    return shape(part, box(column * size, line * size, size, size))
  })
}

/** Rows of bars of unlike length, as lines of text and buttons stand on a page. */
function stacked(parts: readonly Part[]): Shape[] {
  const rows = 15
  const height = BOX.height / rows
  return Array.from({ length: rows }, (_, line) => {
    const turn = parts.map((_, row) => parts[(row + line * 3) % parts.length]).filter(Boolean)
    let x = 0
    return turn.map((part) => {
      const width = (part?.share ?? 0) * BOX.width
      x += width
      return shape(part, box(x - width, line * height, width, height - 4))
    })
  }).flat()
}

const shape = (part: Part | undefined, path: string): Shape => ({
  key: part?.key ?? '',
  hex: part?.hex ?? 'transparent',
  path,
})
const box = (x: number, y: number, width: number, height: number) =>
  `M${n(x)} ${n(y)}h${n(width)}v${n(height)}h${n(-width)}z`
const circle = (x: number, y: number, radius: number) =>
  `M${n(x - radius)} ${n(y)}a${n(radius)} ${n(radius)} 0 1 0 ${n(2 * radius)} 0a${n(radius)} ${n(radius)} 0 1 0 ${n(-2 * radius)} 0z`
const n = (value: number) => formatFixed(value, 2)
