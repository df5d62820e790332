import { computed, toValue } from 'vue'
import type { MaybeRefOrGetter } from 'vue'
import { api, answerOf } from '@/api/client'
import type { MendMode, TakeDocument } from '@/api/types'
import { useFollowing } from '@/ui/useFollowing'

/** The ways to mend one pair of a document; undefined while they are being computed. */
export function useMends(
  take: MaybeRefOrGetter<TakeDocument | undefined>,
  pairId: MaybeRefOrGetter<string | undefined>,
  mode: MaybeRefOrGetter<MendMode>,
) {
  const { answer, problem } = useFollowing(
    () => {
      const [document, pair] = [toValue(take), toValue(pairId)]
      return document && pair ? { document, pair, mode: toValue(mode) } : undefined
    },
    (body, signal) => answerOf(api.POST('/api/mends', { body, signal })),
    { keeps: false },
  )
  /** best: what any colour in the place of the text, or of the ground, could reach. */
  return { mends: computed(() => answer.value?.mends), best: answer, problem }
}
