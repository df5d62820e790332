/** Fonts for letters that the chosen typefaces can’t draw, in the window of a page. */
import type { ProofFigures } from '@/api/types'

export interface LetterFont {
  family: string
  weight: number
  source: string
}
const WEIGHTS = [400, 700] as const

/** Cut by the server to what is needed. */
export const letterFontsOf = ({ letters }: ProofFigures): LetterFont[] =>
  letters.flatMap((one) =>
    WEIGHTS.map((weight) => ({
      family: one.family,
      weight,
      source: `/api/letters/${one.script}/${one.kind}/${weight.toString()}?of=${encodeURIComponent(one.characters)}`,
    })),
  )

const fontsByPage = new WeakMap<Document, Map<string, FontFace>>()

/** Give a page these fonts and take those back that it needs no more. */
export function giveLetters(page: Document, fonts: readonly LetterFont[]) {
  const before = fontsByPage.get(page) ?? new Map<string, FontFace>()
  const now = new Map<string, FontFace>()
  const view = page.defaultView
  if (!view) return
  for (const { family, weight, source } of fonts) {
    const font =
      before.get(source) ??
      new view.FontFace(family, `url("${source}")`, {
        weight: weight === WEIGHTS[0] ? '1 599' : '600 1000',
      })
    now.set(source, font)
    page.fonts.add(font)
  }
  // The old ones stay until the new ones are there, or the letters would blink.
  void page.fonts.ready.then(() => {
    for (const [source, font] of before) if (!now.has(source)) page.fonts.delete(font)
  })
  fontsByPage.set(page, now)
}
