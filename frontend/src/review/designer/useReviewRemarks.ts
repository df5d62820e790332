/** The remarks of the review that is looked at: answered, changed, taken back, resolved. */
import { api, answerOf } from '@/api/client'
import type { About } from '@/api/types'
import type { OpenReview } from './useOpenReview'

const WHOLE: About = {
  kind: 'whole',
  place: null,
  page: '',
  scheme: 'day',
  width: 'wide',
  part: '',
  hex: null,
  name: '',
}

export function useReviewRemarks({ review, change }: OpenReview) {
  const answer = (remark: string, text: string) =>
    change((path) =>
      answerOf(
        api.POST('/api/reviews/{review_id}/remarks', {
          params: { path },
          body: { text, answers: remark, about: aboutOf(remark) },
        }),
      ),
    )
  const edit = (remark: string, text: string) =>
    change((path) =>
      answerOf(
        api.PUT('/api/reviews/{review_id}/remarks/{remark_id}', {
          params: { path: { ...path, remark_id: remark } },
          body: { text },
        }),
      ),
    )
  const takeBack = (remark: string) =>
    change((path) =>
      answerOf(
        api.DELETE('/api/reviews/{review_id}/remarks/{remark_id}', {
          params: { path: { ...path, remark_id: remark } },
        }),
      ),
    )
  const resolve = (remark: string, resolved: boolean) =>
    change((path) =>
      answerOf(
        api.PUT('/api/reviews/{review_id}/remarks/{remark_id}/resolution', {
          params: { path: { ...path, remark_id: remark } },
          body: { resolved },
        }),
      ),
    )

  /** An answer hangs where the remark hangs. */
  const aboutOf = (remark: string): About =>
    review.value?.said.remarks.find((one) => one.id === remark)?.about ?? WHOLE

  return { answer, edit, takeBack, resolve }
}
