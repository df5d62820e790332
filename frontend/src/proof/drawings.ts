/** Drawn pictures: the SVG files in drawings/, each shape of which wears a paint that the take’s roles lend. */

export interface Shape {
  /** The name of a paint, such as “primary light”. */
  paint: string
  /** The outline, as the d of an SVG path; holes by the even-odd rule. */
  outline: string
}

export interface Drawing {
  /** What one sees, for those who don’t. */
  label: string
  width: number
  height: number
  shapes: readonly Shape[]
}

const files = import.meta.glob<string>('./drawings/*.svg', {
  query: '?raw',
  import: 'default',
  eager: true,
})
const read = new Map<string, Drawing>()

export const DRAWING_NAMES: readonly string[] = Object.keys(files).map((path) =>
  path.replace('./drawings/', '').replace('.svg', ''),
)

export function drawingOf(name: string): Drawing {
  const known = read.get(name) ?? readDrawing(files[`./drawings/${name}.svg`] ?? '')
  read.set(name, known)
  return known
}

function readDrawing(file: string): Drawing {
  const svg = new DOMParser().parseFromString(file, 'image/svg+xml').documentElement
  const [, , width = 1, height = 1] = (svg.getAttribute('viewBox') ?? '').split(' ').map(Number)
  const shapes = [...svg.querySelectorAll('path')].map((path) => ({
    paint: /--paint-([\w-]+)/.exec(path.getAttribute('fill') ?? '')?.[1]?.replace('-', ' ') ?? '',
    outline: path.getAttribute('d') ?? '',
  }))
  return { label: svg.querySelector('title')?.textContent ?? '', width, height, shapes }
}
