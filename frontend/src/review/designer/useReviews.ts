/** What a designer does with a brand’s reviews. */
import { computed } from 'vue'
import { useOpenReview } from './useOpenReview'
import { useReviewLinks } from './useReviewLinks'
import { useReviewRemarks } from './useReviewRemarks'
import { api, answerOf, UserError } from '@/api/client'
import type { NewReview, Review } from '@/api/types'
import { useTakeStore } from '@/take/take'

export type { LinkWish } from './useReviewLinks'

export function useReviews(brandId: () => string, reviewId: () => string | undefined) {
  const take = useTakeStore()
  const open = useOpenReview(brandId, reviewId)
  const { list, origin, review, problem, attempt, change } = open
  const links = useReviewLinks(open)

  async function show(body: NewReview): Promise<Review | undefined> {
    const path = { brand_id: brandId() }
    const answer = await attempt(async () => {
      // What is shown is what is saved: nothing that was made before may come after.
      await take.allSaved()
      const [waiting] = take.unsavedElsewhere
      if (waiting) throw new UserError(`${waiting} is not saved yet. Try again when it is.`)
      return answerOf(api.POST('/api/brands/{brand_id}/reviews', { params: { path }, body }))
    })
    if (!answer) return undefined
    links.made.value = { review: answer.review.id, link: answer.link }
    return answer.review
  }

  const withdraw = () =>
    change((path) =>
      answerOf(api.POST('/api/reviews/{review_id}/withdrawal', { params: { path } })),
    )
  const reopen = (reason: string) =>
    change((path) =>
      answerOf(
        api.POST('/api/reviews/{review_id}/reopening', { params: { path }, body: { reason } }),
      ),
    )
  /** Return whose answers were taken in and how many remarks are new. */
  async function takeIn(text: string) {
    const id = review.value?.id
    if (!id) return undefined
    const path = { review_id: id }
    const found = await attempt(() =>
      answerOf(api.POST('/api/reviews/{review_id}/answers', { params: { path }, body: { text } })),
    )
    if (found) review.value = found.review
    return found
  }

  return {
    list,
    origin,
    review,
    problem,
    ...links,
    ...useReviewRemarks(open),
    isReady: computed(() => list.value !== undefined),
    show,
    withdraw,
    reopen,
    takeIn,
    dismiss: () => (problem.value = ''),
  }
}
