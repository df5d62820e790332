/** What clients said of the open take, and what of it they approved. */
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { api, answerOf } from '@/api/client'
import type { CameBack } from '@/api/types'
import { createLatest } from '@/ui/asking'

export const useCameBackStore = defineStore('came-back', () => {
  const found = shallowRef<CameBack>()
  const latest = createLatest()
  let open: string | undefined

  /** Throws where it can't be known: Handoff may not be silent then of what was approved. */
  async function read(take: string | undefined) {
    if (take !== open) found.value = undefined
    open = take
    if (!take) return
    const path = { take_id: take }
    const answer = await latest.ask((signal) =>
      answerOf(api.GET('/api/takes/{take_id}/came-back', { params: { path }, signal })),
    )
    if (answer) found.value = answer
  }

  async function resolve(review: string, remark: string) {
    const path = { review_id: review, remark_id: remark }
    await answerOf(
      api.PUT('/api/reviews/{review_id}/remarks/{remark_id}/resolution', {
        params: { path },
        body: { resolved: true },
      }),
    )
    await read(open)
  }

  return {
    read,
    resolve,
    remarks: computed(() => found.value?.remarks ?? []),
    approvals: computed(() => found.value?.approvals ?? []),
    /** The version that was approved last. */
    approved: computed(() => found.value?.approvals[0]),
  }
})
