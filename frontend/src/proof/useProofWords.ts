import { computed } from 'vue'
import type { ProofFigures } from '@/api/types'
import { useTakeStore } from '@/take/take'
import { VOICES } from './voices'

/** What the opening of the home page says: the voice's words, or those typed in their place. */
export function useProofWords(proof: () => ProofFigures) {
  const take = useTakeStore()
  return computed(() => {
    const { kicker, headline, button, text } = VOICES[proof().voice].home.opening
    const own = take.shown?.proof
    return {
      kicker: own?.kicker || kicker,
      headline: own?.headline || headline,
      button: own?.button || button,
      text,
    }
  })
}
