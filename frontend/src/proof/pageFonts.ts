/** Fonts that a page gets beside those of its stylesheet: letters of other scripts, and the brand’s own. */
import type { BrandFont, ProofFigures, ShownTake } from '@/api/types'

export interface PageFont {
  family: string
  /** As a stylesheet has them, such as “400 700”. */
  weights: string
  source: string
}
const WEIGHTS = [400, 700] as const
const OWN = 'own: '

/** What a page calls a family of the brand’s own: never what a typeface that ships is called. */
const ownFamily = (family: string) => `Own ${family}`

/** The families that a page is set in by the name of a typeface, the first that has a letter draws it. */
export const familyOf = (face: string) =>
  face.startsWith(OWN) ? ownFamily(face.slice(OWN.length)) : `${face} Variable`

/** What people call a typeface. */
export const faceName = (face: string) => (face.startsWith(OWN) ? face.slice(OWN.length) : face)

/** Cut by the server to what is needed. */
export const letterFontsOf = ({ letters }: ProofFigures): PageFont[] =>
  letters.flatMap((one) =>
    WEIGHTS.map((weight) => ({
      family: one.family,
      weights: letterWeights(weight),
      source: `/api/letters/${one.script}/${one.kind}/${weight.toString()}?of=${encodeURIComponent(one.characters)}`,
    })),
  )

/** Letters come regular and bold: each stands for half of the weights. */
export const letterWeights = (weight: number) => (weight === WEIGHTS[0] ? '1 599' : '600 1000')

/** Those of the brand’s own that a page is set in. */
export const ownFontsOf = ({ faces }: ProofFigures, fonts: readonly BrandFont[]): PageFont[] =>
  fonts
    .filter((one) => one.face === faces.heading || one.face === faces.text)
    .map((one) => ({ ...kept(one), source: `/api/fonts/${one.id}/file` }))

/** The same of a review. fileOf: where a file of it is. */
export const keptFontsOf = (take: ShownTake, fileOf: (digest: string) => string): PageFont[] =>
  (take.fonts ?? []).map((one) => ({ ...kept(one), source: fileOf(one.file) }))

const kept = (one: { family: string; lightest: number; heaviest: number }) => ({
  family: ownFamily(one.family),
  weights: `${one.lightest.toString()} ${one.heaviest.toString()}`,
})

const fontsByPage = new WeakMap<Document, Map<string, { font: FontFace; from: PageFont }>>()

/** The fonts that a page has got. */
export const fontsOf = (page: Document) =>
  [...(fontsByPage.get(page)?.values() ?? [])].map((one) => one.from)

/** Give a page these fonts and take those back that it needs no more. */
export function giveFonts(page: Document, fonts: readonly PageFont[]) {
  const before = fontsByPage.get(page) ?? new Map<string, { font: FontFace; from: PageFont }>()
  const now = new Map<string, { font: FontFace; from: PageFont }>()
  const view = page.defaultView
  if (!view) return
  for (const from of fonts) {
    const font =
      before.get(from.source)?.font ??
      new view.FontFace(from.family, `url("${from.source}")`, { weight: from.weights })
    now.set(from.source, { font, from })
    page.fonts.add(font)
  }
  // The old ones stay until the new ones are there, or the letters would blink.
  void page.fonts.ready.then(() => {
    for (const [source, { font }] of before) if (!now.has(source)) page.fonts.delete(font)
  })
  fontsByPage.set(page, now)
}
