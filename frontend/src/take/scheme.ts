/** A document with the other scheme in front. What a document has once for each scheme, the server says. */
import { PARTS_OF_A_SCHEME } from '@/api/constants'
import type { TakeDocument } from '@/api/types'

export type Scheme = TakeDocument['scheme']

export function turned(take: TakeDocument): TakeDocument {
  if (!take.other) return take
  const { other } = take
  const swapped = PARTS_OF_A_SCHEME.map((part) => [part, other[part]] as const)
  const behind = PARTS_OF_A_SCHEME.map((part) => [part, take[part]] as const)
  return {
    ...take,
    ...Object.fromEntries(swapped),
    scheme: take.scheme === 'day' ? 'night' : 'day',
    other: Object.fromEntries(behind) as typeof other,
  }
}

/** The document as it is kept: by day. */
export const asKept = (take: TakeDocument) => (take.scheme === 'night' ? turned(take) : take)

export const inScheme = (take: TakeDocument, scheme: Scheme) =>
  take.scheme === scheme ? take : turned(take)
