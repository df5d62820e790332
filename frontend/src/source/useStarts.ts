import { computed } from 'vue'
import type { Ref } from 'vue'
import { api, answerOf } from '@/api/client'
import type { Proposal, ProposalBody, StartWords, TakeDocument } from '@/api/types'
import { useFollowing } from '@/ui/useFollowing'

/** A start with the take that it gives. */
export interface OfferedStart extends StartWords {
  document: TakeDocument
}

/** The starts that a proposal leaves open, each with its take: to be chosen by looking at pages. */
export function useStarts(
  proposal: Ref<Proposal | undefined>,
  body: Ref<ProposalBody | undefined>,
) {
  const { answer } = useFollowing(
    () => ({ proposal: proposal.value, body: body.value }),
    async ({ proposal: now, body: asked }) =>
      now && asked && now.starts.length > 1
        ? Promise.all(now.starts.map((start) => offered(now, asked, start)))
        : [],
    { isShared: true },
  )
  const starts = computed<readonly OfferedStart[]>(() => answer.value ?? [])
  return { starts }
}

async function offered(now: Proposal, asked: ProposalBody, start: StartWords) {
  if (start.id === now.start) return { ...start, document: now.document }
  const body = { ...asked, start: start.id }
  return { ...start, document: (await answerOf(api.POST('/api/proposals', { body }))).document }
}
