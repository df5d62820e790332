/** The parts of a drawn page, read from its own document: names, geometry, what each of them is. */
import { drawingShares } from './drawingShares'
import type {
  ElementKind,
  GroundFigures,
  PictureView,
  ProofFigures,
  Region,
  TextStyle,
} from '@/api/types'

export interface Part {
  name: string
  kind: ElementKind | 'logotype' | 'disabled' | 'series' | 'picture'
  /** The id of the ground it stands on. */
  ground: string
  look: TextStyle | undefined
  series: number | undefined
  isOverPicture: boolean
}

/** What a part uses, and what it needs and has. */
export interface PartFigures {
  key: string
  name: string
  hex: string
  over: string
  byRule: string | undefined
  byRuleName: string | undefined
  changed: boolean
  ratio: number
  needed: number
  criterion: string
  passes: boolean
  shortBy: number
  /** Whether WCAG asks nothing of it where it stands. */
  isExempt: boolean
}

export interface Painted {
  key: string
  name: string
  hex: string
  share: number
}

/** How much of its lines a text of weight 400 covers with ink; heavier ones more. An estimate. */
const INK = 0.16

export function partsOf(page: Document): Part[] {
  return [...page.querySelectorAll<HTMLElement>('[data-part]')].map(readPart)
}

export function readPart(element: Element): Part {
  const { part, element: kind, style, series } = dataOf(element)
  return {
    name: part ?? '',
    kind: series === undefined ? (kind as ElementKind) : 'series',
    ground: groundOf(element),
    look: style as TextStyle | undefined,
    series: series === undefined ? undefined : Number(series),
    isOverPicture: element.closest('[data-picture]') !== null,
  }
}

const dataOf = (element: Element): DOMStringMap =>
  'dataset' in element ? (element as HTMLElement).dataset : {}

const groundOf = (element: Element) => {
  const stands = element.closest('[data-ground]')
  return (stands && dataOf(stands).ground) ?? ''
}

export const elementOf = (page: Document, name: string) =>
  page.querySelector<HTMLElement>(`[data-part="${CSS.escape(name)}"]`)

export function figuresOf(part: Part, proof: ProofFigures): PartFigures | undefined {
  const ground = proof.grounds.find((one) => one.id === part.ground)
  if (!ground) return undefined
  if (part.kind === 'series') return ofSeries(ground, part.series ?? 0)
  const over = part.isOverPicture ? proof.over_picture?.elements : undefined
  const isIt = (one: { element: string }) => one.element === part.kind
  const use = over?.find(isIt) ?? ground.elements.find(isIt)
  if (!use) return undefined
  const style = use.is_text && proof.styles.find((one) => one.style === part.look)
  return {
    ...use,
    shortBy: use.short_by,
    isExempt: false,
    byRule: use.by_rule,
    byRuleName: use.by_rule_name,
    // The verdict is the server's: as the element is usually set, or in the style of this part.
    // A button over a picture is named by its label.
    ...(over && part.kind === 'button background' && { passes: true, shortBy: 0, isExempt: true }),
    ...(style && {
      needed: style.needed,
      criterion: style.criterion,
      passes: use.reads_in.includes(style.style),
      shortBy: use.short_in[style.style] ?? 0,
    }),
  }
}

function ofSeries(ground: GroundFigures, row: number): PartFigures | undefined {
  const one = ground.series[row]
  if (!one) return undefined
  return {
    ...one,
    over: ground.hex,
    shortBy: one.short_by,
    isExempt: false,
    byRule: undefined,
    byRuleName: undefined,
    changed: false,
  }
}

/** The share of each colour as painted, from the geometry of the page. Text counts with its ink. */
export function paintedShares(page: Document, proof: ProofFigures): Painted[] {
  const areas = new Map<string, Painted>()
  const add = (key: string, name: string, hex: string, area: number) => {
    const known = areas.get(key) ?? { key, name, hex, share: 0 }
    areas.set(key, { ...known, share: known.share + area })
  }
  for (const element of page.querySelectorAll<HTMLElement>('[data-ground]')) {
    const ground = proof.grounds.find((one) => one.id === element.dataset.ground)
    if (!ground) continue
    const inner = [...element.querySelectorAll('[data-ground]')].filter(
      (one) => one.parentElement?.closest('[data-ground]') === element,
    )
    const pictures = [
      ...element.querySelectorAll('[data-picture], [data-scene], .drawn > img'),
    ].filter((one) => one.closest('[data-ground]') === element)
    const covered = [...inner, ...pictures].reduce((sum, one) => sum + areaOf(one), 0)
    add(ground.key, ground.name, ground.hex, Math.max(0, areaOf(element) - covered))
  }
  for (const drawn of page.querySelectorAll<SVGElement>('[data-scene]')) {
    const shares = drawingShares(drawn.dataset.scene ?? '', drawn.getBoundingClientRect())
    for (const { name, key, hex } of proof.paints) {
      const share = shares.get(name)
      if (share) add(key, nameOf(proof, key, name), hex, share * areaOf(drawn))
    }
  }
  for (const element of page.querySelectorAll('[data-part]')) {
    const part = readPart(element)
    const use = figuresOf(part, proof)
    if (use) add(use.key, use.name, use.hex, paintedBy(element, part))
  }
  const whole = [...areas.values()].reduce((sum, one) => sum + one.share, 0)
  return [...areas.values()]
    .map((one) => ({ ...one, share: one.share / whole }))
    .sort((one, other) => other.share - one.share)
}

/** What a colour is called elsewhere on the page; else what the picture calls its paint. */
const nameOf = (proof: ProofFigures, key: string, paint: string) =>
  proof.grounds.find((one) => one.key === key)?.name ??
  paint.charAt(0).toUpperCase() + paint.slice(1)

const areaOf = (element: Element) => {
  const box = element.getBoundingClientRect()
  return box.width * box.height
}

function paintedBy(element: Element, part: Part): number {
  const box = element.getBoundingClientRect()
  if (part.kind === 'button background') return box.width * box.height
  if (part.kind === 'line')
    return element.tagName === 'INPUT' ? 2 * (box.width + box.height) : box.width
  if (part.kind === 'series')
    return box.width * box.height * (element.tagName === 'polyline' ? 0.03 : 1)
  if (part.kind === 'focus ring') return 6 * (box.width + box.height)
  const range = element.ownerDocument.createRange()
  let lines = 0
  for (const node of element.childNodes) {
    if (node.nodeType !== Node.TEXT_NODE) continue
    range.selectNodeContents(node)
    for (const line of range.getClientRects()) lines += line.width * line.height
  }
  const weight = Number(
    element.ownerDocument.defaultView?.getComputedStyle(element).fontWeight ?? 400,
  )
  return (lines * INK * weight) / 400
}

/** Where on its picture a part lies, from 0 to 1: the picture covers its box, and a point of it stays. */
export function regionOf(element: Element, view: PictureView): Region | null {
  const box = element.closest('[data-picture]')
  const picture = box?.querySelector('img')
  if (!box || !picture?.naturalWidth) return null
  const [frame, text] = [box.getBoundingClientRect(), element.getBoundingClientRect()]
  const covers = Math.max(frame.width / picture.naturalWidth, frame.height / picture.naturalHeight)
  const scale = covers * view.zoom
  const [width, height] = [picture.naturalWidth * scale, picture.naturalHeight * scale]
  const [left, top] = [
    frame.left - view.x * (width - frame.width),
    frame.top - view.y * (height - frame.height),
  ]
  const clipped = (value: number) => Math.min(1, Math.max(0, value))
  const from = { x: clipped((text.left - left) / width), y: clipped((text.top - top) / height) }
  const to = { x: clipped((text.right - left) / width), y: clipped((text.bottom - top) / height) }
  return { left: from.x, top: from.y, width: to.x - from.x, height: to.y - from.y }
}

/** What a part says: a field by its value, or by the hint in it. */
export const wordsOf = (element: HTMLElement) =>
  element.localName === 'input'
    ? (element.getAttribute('value') ?? '') || (element.getAttribute('placeholder') ?? '')
    : element.textContent.trim()
