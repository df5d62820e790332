/** The links of the review that is looked at: made, prolonged, withdrawn. */
import { shallowRef } from 'vue'
import { api, answerOf } from '@/api/client'
import type { NewLink } from '@/api/types'
import type { OpenReview } from './useOpenReview'

export interface LinkWish {
  name: string
  until: string | null
  passphrase: string | null
  mail: string | null
}

export function useReviewLinks({ review, attempt, change, refresh }: OpenReview) {
  /** A link that was made now: the only time that it can be copied. */
  const made = shallowRef<{ review: string; link: NewLink }>()

  async function newLink(body: LinkWish): Promise<boolean> {
    const id = review.value?.id
    if (!id) return false
    const params = { path: { review_id: id } }
    const link = await attempt(() =>
      answerOf(api.POST('/api/reviews/{review_id}/links', { params, body })),
    )
    if (link) made.value = { review: id, link }
    refresh()
    return link !== undefined
  }

  const prolong = (link: string, until: string | null) =>
    change((path) =>
      answerOf(
        api.PUT('/api/reviews/{review_id}/links/{link_id}', {
          params: { path: { ...path, link_id: link } },
          body: { until },
        }),
      ),
    )
  const withdrawLink = (link: string) =>
    change((path) =>
      answerOf(
        api.POST('/api/reviews/{review_id}/links/{link_id}/withdrawal', {
          params: { path: { ...path, link_id: link } },
        }),
      ),
    )

  return { made, newLink, prolong, withdrawLink, forgetLink: () => (made.value = undefined) }
}
