/** A document with the other scheme's roles, pairs and grounds in front. No colour is computed here. */
import type { TakeDocument } from '@/api/types'

export type Scheme = TakeDocument['scheme']

export function turned(take: TakeDocument): TakeDocument {
  if (!take.other) return take
  return {
    ...take,
    roles: take.other.roles,
    pairs: take.other.pairs,
    grounds: take.other.grounds,
    scheme: take.scheme === 'day' ? 'night' : 'day',
    other: { roles: take.roles, pairs: take.pairs, grounds: take.grounds },
  }
}

/** The document as it is kept: by day. */
export const asKept = (take: TakeDocument) => (take.scheme === 'night' ? turned(take) : take)

export const inScheme = (take: TakeDocument, scheme: Scheme) =>
  take.scheme === scheme ? take : turned(take)
