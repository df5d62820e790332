/** The voices by their ids: the core says which there are, and what stands on their home pages. */
import { BICYCLES } from './bicycles'
import { CHOIRS } from './choirs'
import type { VoiceCopy } from './copy'
import { HALL } from './hall'
import { MILL } from './mill'
import { NOTARY } from './notary'
import { OBSERVATORY } from './observatory'
import { PRACTICE } from './practice'
import { RESTAURANT } from './restaurant'
import { SCHOOL } from './school'
import type { VoiceId } from '@/api/types'

export const VOICES: Readonly<Record<VoiceId, VoiceCopy>> = {
  observatory: OBSERVATORY,
  mill: MILL,
  restaurant: RESTAURANT,
  practice: PRACTICE,
  notary: NOTARY,
  school: SCHOOL,
  hall: HALL,
  bicycles: BICYCLES,
  choirs: CHOIRS,
}
