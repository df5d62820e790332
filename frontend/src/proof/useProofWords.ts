import { computed } from 'vue'
import type { ProofFigures } from '@/api/types'
import { useTakeStore } from '@/take/take'
import { useBrandStore } from '@/take/brand'
import { ownTextsOf, textKey } from './ownTexts'
import { copyOf } from './voices'

/** What the opening of the home page says: the voice's words, or those typed in their place. */
export function useProofWords(proof: () => ProofFigures) {
  const take = useTakeStore()
  const brand = useBrandStore()
  return computed(() => {
    const { kicker, headline, button, text } = copyOf(proof().voice, brand.detail?.brand.name ?? '')
      .home.opening
    const own = take.shown ? ownTextsOf(take.shown.proof.texts, proof()) : {}
    const said = (part: string) => own[textKey('home', part)]?.text
    return {
      kicker: said('Opening’s kicker') ?? kicker,
      headline: said('Opening’s heading') ?? headline,
      button: said('Opening’s button, label') ?? button,
      text: said('Opening’s paragraph') ?? text,
    }
  })
}
