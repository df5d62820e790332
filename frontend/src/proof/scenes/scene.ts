/** Drawn pictures: flat shapes, each of which wears a paint that the take’s roles lend. */

export type Paint =
  `${'primary' | 'secondary' | 'accent'}${'' | ' light' | ' dark'}` | 'paper' | 'mist' | 'deep'

export interface Shape {
  paint: Paint
  /** The outline, as the d of an SVG path; holes by the even-odd rule. */
  outline: string
}

export interface Scene {
  /** What one sees, for those who don’t. */
  label: string
  width: number
  height: number
  shapes: readonly Shape[]
}

type Point = readonly [x: number, y: number]

const text = (...parts: readonly (string | number)[]) =>
  parts.map((one) => (typeof one === 'number' ? Math.round(one * 10) / 10 : one)).join(' ')

export const shape = (paint: Paint, outline: string): Shape => ({ paint, outline })

export const area = (paint: Paint, x: number, y: number, width: number, height: number) =>
  shape(paint, text('M', x, y, 'h', width, 'v', height, 'h', -width, 'z'))

export const disc = (paint: Paint, x: number, y: number, radius: number) =>
  shape(paint, circlePath(x, y, radius))

export const ring = (paint: Paint, x: number, y: number, radius: number, width: number) =>
  shape(paint, circlePath(x, y, radius) + circlePath(x, y, radius - width))

export const oval = (paint: Paint, x: number, y: number, across: number, down: number) =>
  shape(
    paint,
    text('M', x - across, y, 'a', across, down, 0, 1, 0, 2 * across, 0) +
      text('a', across, down, 0, 1, 0, -2 * across, 0, 'z'),
  )

export const polygon = (paint: Paint, ...points: readonly Point[]) =>
  shape(paint, `M${points.map(([x, y]) => text(x, y)).join('L')}z`)

/** A box with round corners; a pill where the radius is half of its height. */
export const round = (
  paint: Paint,
  x: number,
  y: number,
  width: number,
  height: number,
  radius: number,
) =>
  shape(
    paint,
    text(
      'M',
      x + radius,
      y,
      'h',
      width - 2 * radius,
      'a',
      radius,
      radius,
      0,
      0,
      1,
      radius,
      radius,
    ) +
      text('v', height - 2 * radius, 'a', radius, radius, 0, 0, 1, -radius, radius) +
      text('h', 2 * radius - width, 'a', radius, radius, 0, 0, 1, -radius, -radius) +
      text('v', 2 * radius - height, 'a', radius, radius, 0, 0, 1, radius, -radius, 'z'),
  )

/** A straight bar from one point to another. */
export function bar(paint: Paint, [x1, y1]: Point, [x2, y2]: Point, width: number) {
  const length = Math.hypot(x2 - x1, y2 - y1) || 1
  const [across, down] = [((y2 - y1) / length) * (width / 2), ((x2 - x1) / length) * (width / 2)]
  return polygon(
    paint,
    [x1 + across, y1 - down],
    [x2 + across, y2 - down],
    [x2 - across, y2 + down],
    [x1 - across, y1 + down],
  )
}

/** Ground under a line through points at even distances, from the left edge to the right one. */
export function hills(paint: Paint, width: number, bottom: number, ...heights: readonly number[]) {
  const step = width / (heights.length - 1)
  const curve = heights.slice(1).map((y, row) => {
    const [from, before] = [row * step, heights[row] ?? y]
    return text('C', from + step / 2, before, from + step / 2, y, from + step, y)
  })
  return shape(
    paint,
    text('M', 0, heights[0] ?? bottom) + curve.join('') + text('V', bottom, 'H', 0, 'z'),
  )
}

/** A leaf from a point on its stem, with its tip where it says. */
export function leaf(paint: Paint, [x, y]: Point, [tipX, tipY]: Point, width: number) {
  const [middleX, middleY] = [(x + tipX) / 2, (y + tipY) / 2]
  const length = Math.hypot(tipX - x, tipY - y) || 1
  const [across, down] = [((tipY - y) / length) * width, ((tipX - x) / length) * width]
  return shape(
    paint,
    text('M', x, y, 'Q', middleX + across, middleY - down, tipX, tipY) +
      text('Q', middleX - across, middleY + down, x, y, 'z'),
  )
}

/** Numbers from 0 on, to draw something as often. */
export const times = <Result>(count: number, make: (row: number) => Result) =>
  Array.from({ length: count }, (_, row) => make(row))

const circlePath = (x: number, y: number, radius: number) =>
  text('M', x - radius, y, 'a', radius, radius, 0, 1, 0, 2 * radius, 0) +
  text('a', radius, radius, 0, 1, 0, -2 * radius, 0, 'z')
