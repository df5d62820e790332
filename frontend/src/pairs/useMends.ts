import { shallowRef, toValue, watch } from 'vue'
import type { MaybeRefOrGetter } from 'vue'
import { api, given } from '@/api/client'
import type { Mend, MendMode, Mends, TakeDocument } from '@/api/types'

/** The ways to mend one pair of a document; undefined while they are being computed. */
export function useMends(
  take: MaybeRefOrGetter<TakeDocument | undefined>,
  pairId: MaybeRefOrGetter<string | undefined>,
  mode: MaybeRefOrGetter<MendMode>,
) {
  const mends = shallowRef<Mend[]>()
  /** The best that any colour in the place of the text, or of the ground, could reach. */
  const best = shallowRef<Pick<Mends, 'best_text' | 'best_ground'>>()
  const error = shallowRef<unknown>()
  let asked = 0

  watch(
    [() => toValue(take), () => toValue(pairId), () => toValue(mode)] as const,
    async ([document, pair, wanted]) => {
      const number = ++asked
      mends.value = error.value = undefined
      if (!document || !pair) return
      try {
        const answer = await given(
          api.POST('/api/mends', { body: { document, pair, mode: wanted } }),
        )
        if (number !== asked) return
        mends.value = answer.mends
        best.value = answer
      } catch (reason) {
        if (number === asked) error.value = reason
      }
    },
    { immediate: true },
  )

  return { mends, best, error }
}
