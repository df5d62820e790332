/** A brand’s reviews, and the one that is looked at; what comes back is there without reloading. */
import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { api, explain, given, UserError } from '@/api/client'
import type { About, ListedReview, NewLink, NewReview, Review } from '@/api/types'
import { useTakeStore } from '@/take/take'
import { createLatest, createPaced } from '@/ui/asking'
import { useQuestion } from '@/ui/useAnswer'
import { useEvents } from '@/ui/useEvents'

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

export interface LinkWish {
  name: string
  until: string | null
  passphrase: string | null
  mail: string | null
}

export function useReviews(brandId: () => string, reviewId: () => string | undefined) {
  const take = useTakeStore()
  const list = shallowRef<readonly ListedReview[]>()
  const origin = ref<string | null>(null)
  const review = shallowRef<Review>()
  /** A link that was made now: the only time that it can be copied. */
  const made = shallowRef<{ review: string; link: NewLink }>()
  const problem = ref('')
  const question = useQuestion(() => paced.ask(undefined))
  const latest = createLatest()

  const paced = createPaced(async () => {
    try {
      const path = { brand_id: brandId() }
      const found = await given(api.GET('/api/brands/{brand_id}/reviews', { params: { path } }))
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
      given(api.GET('/api/reviews/{review_id}', { params: { path }, signal })),
    )
    if (found) review.value = found
  }
  watch([brandId, reviewId], () => void paced.ask(undefined), { immediate: true })

  useEvents('/api/reviews/events', () => void paced.ask(undefined))
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
    if (changed) void paced.ask(undefined)
    return changed !== undefined
  }

  async function show(body: NewReview): Promise<Review | undefined> {
    const path = { brand_id: brandId() }
    const answer = await attempt(async () => {
      // What is shown is what is saved: nothing that was made before may come after.
      await take.allSaved()
      const [waiting] = take.unsavedElsewhere
      if (waiting) throw new UserError(`${waiting} is not saved yet. Try again when it is.`)
      return given(api.POST('/api/brands/{brand_id}/reviews', { params: { path }, body }))
    })
    if (!answer) return undefined
    made.value = { review: answer.review.id, link: answer.link }
    return answer.review
  }

  async function newLink(body: LinkWish): Promise<boolean> {
    const id = review.value?.id
    if (!id) return false
    const path = { review_id: id }
    const link = await attempt(() =>
      given(api.POST('/api/reviews/{review_id}/links', { params: { path }, body })),
    )
    if (link) made.value = { review: id, link }
    void paced.ask(undefined)
    return link !== undefined
  }

  const prolong = (link: string, until: string | null) =>
    change((path) =>
      given(
        api.PUT('/api/reviews/{review_id}/links/{link_id}', {
          params: { path: { ...path, link_id: link } },
          body: { until },
        }),
      ),
    )
  const withdrawLink = (link: string) =>
    change((path) =>
      given(
        api.POST('/api/reviews/{review_id}/links/{link_id}/withdrawal', {
          params: { path: { ...path, link_id: link } },
        }),
      ),
    )
  const withdraw = () =>
    change((path) => given(api.POST('/api/reviews/{review_id}/withdrawal', { params: { path } })))
  const reopen = (reason: string) =>
    change((path) =>
      given(api.POST('/api/reviews/{review_id}/reopening', { params: { path }, body: { reason } })),
    )
  const answer = (remark: string, text: string) =>
    change((path) =>
      given(
        api.POST('/api/reviews/{review_id}/remarks', {
          params: { path },
          body: { text, answers: remark, about: aboutOf(remark) },
        }),
      ),
    )
  const edit = (remark: string, text: string) =>
    change((path) =>
      given(
        api.PUT('/api/reviews/{review_id}/remarks/{remark_id}', {
          params: { path: { ...path, remark_id: remark } },
          body: { text },
        }),
      ),
    )
  const takeBack = (remark: string) =>
    change((path) =>
      given(
        api.DELETE('/api/reviews/{review_id}/remarks/{remark_id}', {
          params: { path: { ...path, remark_id: remark } },
        }),
      ),
    )
  const resolve = (remark: string, resolved: boolean) =>
    change((path) =>
      given(
        api.PUT('/api/reviews/{review_id}/remarks/{remark_id}/resolution', {
          params: { path: { ...path, remark_id: remark } },
          body: { resolved },
        }),
      ),
    )

  /** An answer hangs where the remark hangs. */
  const aboutOf = (remark: string): About =>
    review.value?.said.remarks.find((one) => one.id === remark)?.about ?? WHOLE

  /** Return whose answers were taken in and how many remarks are new. */
  async function takeIn(text: string) {
    const id = review.value?.id
    if (!id) return undefined
    const path = { review_id: id }
    const found = await attempt(() =>
      given(api.POST('/api/reviews/{review_id}/answers', { params: { path }, body: { text } })),
    )
    if (found) review.value = found.review
    return found
  }

  return {
    list,
    origin,
    review,
    made,
    problem,
    isReady: computed(() => list.value !== undefined),
    show,
    newLink,
    prolong,
    withdrawLink,
    withdraw,
    reopen,
    answer,
    edit,
    takeBack,
    resolve,
    takeIn,
    dismiss: () => (problem.value = ''),
    forgetLink: () => (made.value = undefined),
  }
}
