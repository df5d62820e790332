import { computed } from 'vue'
import type { ProofFigures } from '@/api/types'
import { useTakeStore } from '@/take/take'
import { useBrandStore } from '@/take/brand'
import { copyOf } from './voices'

/** What the opening of the home page says: the voice's words, or those typed in their place. */
export function useProofWords(proof: () => ProofFigures) {
  const take = useTakeStore()
  const brand = useBrandStore()
  return computed(() => {
    const { kicker, headline, button, text } = copyOf(proof().voice, brand.detail?.brand.name ?? '')
      .home.opening
    const own = take.shown?.proof
    return {
      kicker: own?.kicker || kicker,
      headline: own?.headline || headline,
      button: own?.button || button,
      text,
    }
  })
}
