/** Settings of the proof that touch nothing else. What makes or drops a thing is a change of the server’s. */
import type { ProofSettings, TakeDocument } from '@/api/types'

export const setProof = (take: TakeDocument, changes: Partial<ProofSettings>): TakeDocument => ({
  ...take,
  proof: { ...take.proof, ...changes },
})
