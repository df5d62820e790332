/** How much of a box each paint of a drawn picture covers: looked up on a grid, once for each proportion. */
import { drawingOf } from './drawings'

const ACROSS = 32
const known = new Map<string, ReadonlyMap<string, number>>()

export function drawingShares(name: string, box: { width: number; height: number }) {
  if (!box.width || !box.height) return new Map<string, number>()
  const proportion = Math.round((20 * box.width) / box.height) / 20 || 1 / 20
  const id = `${name} ${proportion.toString()}`
  const found = known.get(id) ?? counted(name, proportion)
  known.set(id, found)
  return found
}

/** The picture covers its box and is cut evenly, as its aspect ratio says. */
function counted(name: string, proportion: number): ReadonlyMap<string, number> {
  const { width, height, shapes } = drawingOf(name)
  const shown = {
    width: Math.min(width, height * proportion),
    height: Math.min(height, width / proportion),
  }
  const pen = document.createElement('canvas').getContext('2d')
  const outlines = [...shapes]
    .reverse()
    .map(({ paint, outline }) => ({ paint, path: new Path2D(outline) }))
  const down = Math.max(1, Math.round(ACROSS / proportion))
  const counts = new Map<string, number>()
  for (let row = 0; row < down; row++)
    for (let column = 0; column < ACROSS; column++) {
      const x = (width - shown.width) / 2 + ((column + 0.5) / ACROSS) * shown.width
      const y = (height - shown.height) / 2 + ((row + 0.5) / down) * shown.height
      const top = outlines.find(({ path }) => pen?.isPointInPath(path, x, y, 'evenodd'))
      if (top) counts.set(top.paint, (counts.get(top.paint) ?? 0) + 1 / (ACROSS * down))
    }
  return counts
}
