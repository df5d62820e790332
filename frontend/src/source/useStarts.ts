import { computed, watch } from 'vue'
import type { Ref } from 'vue'
import { api, answerOf } from '@/api/client'
import type { Proposal, ProposalBody, Start, StartWords, TakeDocument } from '@/api/types'
import { useFollowing } from '@/ui/useFollowing'
import { rolesWithColors } from '@/take/swatches'

/** A start with the take that it gives. */
export interface OfferedStart extends StartWords {
  document: TakeDocument
}

/** The starts that a proposal leaves open, each with its take: to be chosen by looking at pages. */
export function useStarts(
  proposal: Ref<Proposal | undefined>,
  body: Ref<ProposalBody | undefined>,
  chosen: Ref<Start | undefined>,
  take: Ref<TakeDocument | undefined>,
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
  // A reload knows by the take itself which start was built.
  watch(starts, (all) => {
    if (chosen.value !== undefined || !take.value?.swatches.length) return
    const built = rolesWithColors(take.value)
    chosen.value = all.find((one) => rolesWithColors(one.document) === built)?.id
  })
  return { starts }
}

async function offered(now: Proposal, asked: ProposalBody, start: StartWords) {
  if (start.id === now.start) return { ...start, document: now.document }
  const body = { ...asked, start: start.id }
  return { ...start, document: (await answerOf(api.POST('/api/proposals', { body }))).document }
}
