/** Documents that this browser kept before the server was brought up to date. */
import { api, answerOf } from '@/api/client'
import type { TakeDocument } from '@/api/types'
import { EMPTY_TAKE } from '@/api/constants'
import type { Unsent } from './unsent'

/** What was kept in a browser may be older than its type says. */
export const isCurrent = (document: TakeDocument) =>
  (document as { format?: number }).format === EMPTY_TAKE.format

const inCurrentFormat = async (document: TakeDocument): Promise<TakeDocument> =>
  isCurrent(document)
    ? document
    : (await answerOf(api.POST('/api/documents', { body: { document } }))).document

/** What a window has left, in the format of today. */
export async function unsentInCurrentFormat(left: Unsent): Promise<Unsent> {
  const { pending } = left
  return {
    ...left,
    document: await inCurrentFormat(left.document),
    pending: pending && { ...pending, document: await inCurrentFormat(pending.document) },
  }
}
