/** Parts of a drawn page: what they use, need and have, and how much of it they paint. */
import { beforeEach, expect, it, vi } from 'vitest'
import type { ProofFigures } from '@/api/types'
import { elementOf, figuresOf, paintedShares, partsOf, regionOf } from '@/proof/parts'

const uses = (element: string, key: string, ratio: number, reads_in?: string[]) => ({
  element,
  key,
  name: key.toUpperCase(),
  hex: '#000000',
  by_rule: key,
  by_rule_name: key.toUpperCase(),
  changed: false,
  over: '#ffffff',
  usage: reads_in ? 'body text' : 'part of a control',
  ratio,
  needed: reads_in ? 4.5 : 3,
  criterion: reads_in ? '1.4.3' : '1.4.11',
  passes: true,
  is_text: reads_in !== undefined,
  short_by: 0,
  reads_in: reads_in ?? [],
  short_in: {},
})
const PROOF = {
  grounds: [
    {
      id: 'paper',
      name: 'Paper',
      key: 'paper',
      hex: '#ffffff',
      is_own: false,
      elements: [
        uses('heading', 'primary', 3.2, ['h1']),
        uses('text', 'ink', 15, ['h1', 'text']),
        uses('button background', 'accent', 4),
      ],
      series: [
        {
          key: 's1',
          name: 'One',
          hex: '#123456',
          ratio: 2.9,
          needed: 3,
          criterion: '1.4.11',
          passes: false,
        },
      ],
    },
    {
      id: 'deep',
      name: 'Deep',
      key: 'deep',
      hex: '#000011',
      is_own: false,
      elements: [],
      series: [],
    },
  ],
  sections: [],
  styles: [
    { style: 'h1', size: 40, weight: 700, needed: 3, criterion: '1.4.3' },
    { style: 'text', size: 16, weight: 400, needed: 4.5, criterion: '1.4.3' },
  ],
  layer: null,
} as unknown as ProofFigures

const PAGE = `
  <main data-ground="paper">
    <h1 style="font-weight: 700" data-part="The title" data-element="heading" data-style="h1">A title</h1>
    <p style="font-weight: 400" data-part="A text" data-element="text" data-style="text">Words</p>
    <p style="font-weight: 400" data-part="A big quote" data-element="heading" data-style="text">Words</p>
    <a data-part="The button" data-element="button background">Go</a>
    <svg><rect data-part="A bar" data-element="series" data-series="0" /></svg>
    <i data-part="No bar" data-series="7"></i>
    <section data-ground="deep"><b style="font-weight: 400" data-part="Lost" data-element="text">Words</b></section>
  </main>`

beforeEach(() => {
  document.body.innerHTML = PAGE
})
const figures = (name: string) => {
  const part = partsOf(document).find((one) => one.name === name)
  return part && figuresOf(part, PROOF)
}

it('parts are read in the order of the page', () => {
  expect(partsOf(document).map(({ name, ground }) => `${name} on ${ground}`)).toEqual([
    'The title on paper',
    'A text on paper',
    'A big quote on paper',
    'The button on paper',
    'A bar on paper',
    'No bar on paper',
    'Lost on deep',
  ])
  expect(elementOf(document, 'A big quote')?.tagName).toBe('P')
})

it.each([
  ['The title', 3, true, '1.4.3'],
  ['A big quote', 4.5, false, '1.4.3'],
  ['The button', 3, true, '1.4.11'],
  ['A bar', 3, false, '1.4.11'],
])('%s needs %d in its size: passes %s', (name, needed, passes, criterion) => {
  expect(figures(name)).toMatchObject({ needed, passes, criterion })
})

it('what no ground gives a colour has no figures', () => {
  expect(figures('No bar')).toBeUndefined()
  expect(figures('Lost')).toBeUndefined()
})

const sized = (sizes: Record<string, [number, number, number, number]>) =>
  vi.spyOn(Element.prototype, 'getBoundingClientRect').mockImplementation(function (this: Element) {
    const key = this.getAttribute('data-part') ?? this.getAttribute('data-ground') ?? this.tagName
    const [left, top, width, height] = sizes[key] ?? [0, 0, 0, 0]
    return new DOMRect(left, top, width, height)
  })

it('what is painted is the ground without the grounds in it, faces whole, and texts with their ink', () => {
  sized({ paper: [0, 0, 100, 100], deep: [0, 60, 100, 40], 'The button': [0, 0, 10, 20] })
  const lines = [new DOMRect(0, 0, 50, 10)] as unknown as DOMRectList
  vi.spyOn(Range.prototype, 'getClientRects').mockReturnValue(lines)
  const shares = paintedShares(document, PROOF)
  const of = (key: string) => shares.find((one) => one.key === key)?.share ?? 0
  expect(shares.map(({ key }) => key)).toEqual(['paper', 'deep', 'primary', 'accent', 'ink', 's1'])
  expect(shares.reduce((sum, one) => sum + one.share, 0)).toBeCloseTo(1, 12)
  expect(of('paper') / of('deep')).toBeCloseTo(6000 / 4000, 9)
  expect(of('accent') / of('deep')).toBeCloseTo(200 / 4000, 9)
  // A title of weight 700 covers more of its line than a text of 400.
  expect(of('ink') / of('deep')).toBeCloseTo((500 * 0.16) / 4000, 9)
  expect(of('primary') / of('ink')).toBeCloseTo(1.75 + 1, 9)
})

it('a text over a picture has its place in the picture, however that is cropped', () => {
  document.body.innerHTML = `<div data-picture data-part="box"><img alt="" /><p style="font-weight: 400" data-part="words">Over</p></div>`
  const picture = document.querySelector('img')
  Object.defineProperty(picture, 'naturalWidth', { value: 200 })
  Object.defineProperty(picture, 'naturalHeight', { value: 400 })
  sized({ box: [0, 0, 100, 100], words: [25, 25, 50, 50] })
  const words = elementOf(document, 'words')
  // At half its size the picture is 100 by 200 and shows its middle.
  const centered = { x: 0.5, y: 0.5, zoom: 1 }
  const region = { left: 0.25, top: 0.375, width: 0.5, height: 0.25 }
  expect(words && regionOf(words, centered)).toEqual(region)
  expect(regionOf(document.body, centered)).toBeNull()
  // With its top in view, and twice as close: 200 by 400, of which the middle of the top is shown.
  const near = { left: 0.375, top: 0.0625, width: 0.25, height: 0.125 }
  expect(words && regionOf(words, { x: 0.5, y: 0, zoom: 2 })).toEqual(near)
})
