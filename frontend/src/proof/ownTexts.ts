/** Words that a designer typed over a page’s own: found by the page and the part that shows them. */
import type { ProofFigures, ProofSettings } from '@/api/types'

/** Of a part that all pages show. */
export const EVERY_PAGE = 'every'

export interface OwnText {
  text: string
  language: string | undefined
  direction: 'ltr' | 'rtl' | undefined
}
export type OwnTexts = Readonly<Record<string, OwnText>>
type Said = Pick<ProofSettings['texts'][number], 'page' | 'part' | 'text'>

export const textKey = (page: string, part: string) => `${page}\n${part}`

/** What was typed is shown at once; its language comes with the next figures. */
export function ownTextsOf(texts: readonly Said[], figures: ProofFigures): OwnTexts {
  const known = new Map(figures.texts.map((one) => [textKey(one.page, one.part), one]))
  return Object.fromEntries(
    texts.map(({ page, part, text }) => {
      const key = textKey(page, part)
      const same = known.get(key)
      const { language, direction } = same?.text === text ? same : {}
      return [key, { text, language, direction }]
    }),
  )
}

/** The texts with words in place of a part’s own; empty ones give it back its own. */
export function saying(texts: readonly Said[], said: Said): Said[] {
  const others = texts.filter((one) => one.page !== said.page || one.part !== said.part)
  return said.text ? [...others, said] : others
}
