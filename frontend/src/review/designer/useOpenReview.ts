/** A brand’s reviews, and the one that is looked at; what comes back is there without reloading. */
import { onScopeDispose, ref, shallowRef, watch } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import type { ListedReview, Review } from '@/api/types'
import { createLatest, createPaced } from '@/ui/asking'
import { useQuestion } from '@/ui/useAnswer'
import { useEvents } from '@/ui/useEvents'

export type OpenReview = ReturnType<typeof useOpenReview>

export function useOpenReview(brandId: () => string, reviewId: () => string | undefined) {
  const list = shallowRef<readonly ListedReview[]>()
  const origin = ref<string | null>(null)
  const review = shallowRef<Review>()
  const problem = ref('')
  const refresh = () => void paced.ask(undefined)
  const question = useQuestion(() => paced.ask(undefined))
  const latest = createLatest()

  const paced = createPaced(async () => {
    try {
      const path = { brand_id: brandId() }
      const found = await answerOf(api.GET('/api/brands/{brand_id}/reviews', { params: { path } }))
      list.value = found.reviews
      origin.value = found.origin
      await readOne()
      question.answered()
    } catch (reason) {
      question.failed(reason)
    }
  })

  async function readOne() {
    const id = reviewId() ?? list.value?.[0]?.id
    if (!id) {
      review.value = undefined
      return
    }
    const path = { review_id: id }
    const found = await latest.ask((signal) =>
      answerOf(api.GET('/api/reviews/{review_id}', { params: { path }, signal })),
    )
    if (found) review.value = found
  }
  watch([brandId, reviewId], refresh, { immediate: true })
  useEvents('/api/reviews/events', refresh)
  onScopeDispose(() => {
    paced.drop()
    latest.cancel()
  })

  /** Return what was done; undefined where it was not, which is said. */
  async function attempt<T>(work: () => Promise<T>): Promise<T | undefined> {
    problem.value = ''
    try {
      return await work()
    } catch (reason) {
      problem.value = explain(reason)
      return undefined
    }
  }
  async function change(work: (path: { review_id: string }) => Promise<Review>): Promise<boolean> {
    const id = review.value?.id
    if (!id) return false
    const changed = await attempt(() => work({ review_id: id }))
    // Another one may have been opened meanwhile.
    if (changed && changed.id === review.value?.id) review.value = changed
    if (changed) refresh()
    return changed !== undefined
  }

  return { list, origin, review, problem, attempt, change, refresh }
}
